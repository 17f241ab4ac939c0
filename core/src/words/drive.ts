/** Words of the drive’s reports: what limits it, hover, packs, rubber, sun, energy, claims. */
import { lower, type Speech } from './speech';

const wh = (joule: number, decimals: number) => `${(joule / 3600).toFixed(decimals)} Wh`;

type Limit = { link: string; value: number; limit: number; used: number };
const percent = (used: number) => `${(used * 100).toFixed(0)} %`;

const LIMIT_WORDS = {
  'limit-far': (f: { link: string; used: number; what: string }) => {
    const several = /^\d+ /.test(f.link),
      near = several ? `are the ${lower(f.link)}` : `is the ${lower(f.link)}`;
    return `Nothing is near a limit; nearest ${near} at ${percent(f.used)} of ${several ? 'their' : 'its'} ${f.what}.`;
  },
  'limit-current': (f: Limit) => {
    const then =
      f.used > 1
        ? ' A smaller propeller, less pitch or less throttle lowers the current.'
        : f.used > 0.85
          ? ' Under 15 % margin: current rises on a cold, full pack.'
          : '';
    return `${f.link}: ${f.value.toFixed(1)} A of ${f.limit.toFixed(0)} A, ${percent(f.used)} of what it stands.${then}`;
  },
  'limit-heat': (f: Limit & { after: number | null }, s: Speech) => {
    const when = f.after === null ? '' : f.after < 120 ? `${f.after} s` : `${(f.after / 60).toFixed(0)} min`,
      then = when ? ` At this throttle it is there after ${when}.` : '';
    return `${f.link}: the winding settles at ${s.q(f.value, 'temperature', 0)}, the limit is ${s.q(f.limit, 'temperature', 0)}.${then}`;
  },
  'limit-tip': (f: Limit) =>
    `${f.link}: the tips run at Mach ${f.value.toFixed(2)}; past ${f.limit} they howl and lose.`,
  'limit-volts': (f: Limit) =>
    `${f.link}: ${f.value.toFixed(1)} V under load, ${f.limit.toFixed(1)} V is the least it stands.`,
};

const HOVER_WORDS = {
  'weak-motor-falls': (f: { margin: number }) =>
    `With one lift motor at 70 % it no longer holds itself level: ${f.margin.toFixed(2)} of the weight.`,
  'weak-motor-holds': (f: { margin: number }) =>
    `With the worst lift motor at 70 % it still holds ${f.margin.toFixed(2)} times its weight, level.`,
  'lost-motor': (f: { winged: boolean }) =>
    f.winged
      ? 'A lift motor that stops altogether is not survived in hover: land on the wing, or add rotors.'
      : 'A lift motor that stops altogether is not survived: fly where nobody is below, or add rotors.',
  'changes-over': (
    f: { speed: number; times: number; time: number; distance: number; energy: number; least: number },
    s: Speech,
  ) =>
    `From hover to ${s.q(f.speed, 'speed', 1)}, ${f.times} times the stall speed, in ${f.time.toFixed(0)} s and ${s.q(f.distance, 'distance', 0)} for ${wh(f.energy, 1)}. Change over only above ${s.q(f.least, 'speed', 1)}.`,
  'no-change-over': (f: { least: number; times: number }, s: Speech) =>
    `The cruise motor does not reach ${s.q(f.least, 'speed', 1)}, ${f.times} times the stall speed: it must not change over.`,
};

const PACK_WORDS = {
  'pack-volts': (f: { series: number; parallel: number; nominal: number; full: number; least: number }) => {
    const beside = f.parallel > 1 ? `, ${f.parallel} in parallel` : '';
    return `${f.series} cells in series${beside}: ${f.nominal.toFixed(1)} V on the label, ${f.full.toFixed(1)} V off the charger, ${f.least.toFixed(1)} V the least under load.`;
  },
  'pack-weighs': (f: { several: boolean; usual: number; listed: number; care: string }, s: Speech) => {
    const listed = f.listed > 0 ? `; the mass list has ${s.q(f.listed, 'mass', 0)}` : '';
    return `Such ${f.several ? 'packs weigh' : 'a pack weighs'} about ${s.q(f.usual, 'mass', 0)}${listed}. ${f.care[0].toUpperCase()}${f.care.slice(1)}.`;
  },
  'packs-together': (f: { cells: number; charge: number; volts: number; how: 'parallel' | 'series' }) => {
    const fails =
      f.how === 'parallel'
        ? '; if one drops out the other carries the whole current'
        : '; if one fails, all power is gone';
    return `Together ${f.cells} cells, ${(f.charge / 3600).toFixed(2)} Ah at ${f.volts.toFixed(1)} V${fails}.`;
  },
  'packs-differ': (_: object) => 'The packs differ in size: connect them only at equal volts.',
  'packs-equal-volts': (_: object) => 'Connect the two only at equal volts.',
  'packs-smaller-first': (_: object) =>
    'In series the smaller pack is empty first and is then driven backward: stop by its charge.',
};

const SUPPLY_WORDS = {
  'fed-by-nothing': (f: { part: string }) => `${f.part} is fed by nothing that has power.`,
  'fails-unsteered': (f: { part: string; lost: readonly string[] }) =>
    `If the ${lower(f.part)} fails, so ${f.lost.length > 1 ? 'do' : 'does'} ${f.lost.map(lower).join(', ')}: the aircraft cannot be steered.`,
  'nothing-stands-in': (f: { part: string }) =>
    `Nothing stands in for the ${lower(f.part)}: without it the aircraft cannot be steered.`,
  'fails-too': (f: { part: string; lost: readonly string[] }) =>
    `If the ${lower(f.part)} fails, ${f.lost.map(lower).join(', ')} ${f.lost.length > 1 ? 'go' : 'goes'} too.`,
  'through-rated': (f: { part: string; current: number; rating: number }) =>
    `${f.current.toFixed(1)} A through the ${lower(f.part)}, rated ${f.rating} A.`,
  'near-rating': (f: { part: string }) => `Under 20 % margin on the ${lower(f.part)}.`,
};

const ENERGY_WORDS = {
  'string-too-low': (f: { cells: number; volts: number; starts: number; least: number }) =>
    `${f.cells} cells in a string give ${f.volts.toFixed(1)} V at work; the controller starts at ${f.starts} V: ${f.least} cells at least.`,
  'string-too-high': (f: { cells: number; volts: number; stands: number; most: number }) =>
    `${f.cells} cells in a string give ${f.volts.toFixed(1)} V with nothing drawn; the controller stands ${f.stands} V: ${f.most} cells at most.`,
  'string-fits': (f: { work: number; open: number; from: number; to: number }) =>
    `${f.work.toFixed(1)} V at work and ${f.open.toFixed(1)} V open: inside the controller’s ${f.from} to ${f.to} V.`,
};

const RUBBER_WORDS = {
  'share-of-rubber': (f: { share: number }) =>
    `${(100 * f.share).toFixed(0)} % of the flying mass is rubber.`,
  'wound-hard': (_: object) =>
    'Over 95 % of the breaking turns: one in several motors breaks there; wear glasses, and keep it inside a tube.',
  'dry-rubber': (_: object) =>
    'Dry rubber takes about three quarters of the turns and cuts itself: lubricate it.',
};

const TORQUE_WORDS = {
  'torque-cancelled': (_: object) => 'The shafts turn against each other: no torque is left over.',
  'torque-no-ailerons': (_: object) =>
    'No ailerons to hold the torque with: offset the wing, tilt the thrust line or wash one wing in.',
  'torque-much': (f: { aileron: number; share: number }, s: Speech) =>
    `Torque takes ${s.q(f.aileron, 'angle', 1)} of aileron, ${(f.share * 100).toFixed(0)} % of what there is: a smaller propeller, more blades or more speed before full throttle.`,
  'torque-held': (f: { aileron: number; share: number | null; pusher: boolean }, s: Speech) => {
    const share = f.share === null ? '' : `, ${(f.share * 100).toFixed(0)} % of the throw,`;
    return `Torque rolls it ${f.pusher ? '' : 'left '}against the turning propeller; ${s.q(f.aileron, 'angle', 1)} of aileron${share} holds it.`;
  },
};

const minutes = (s: number) => `${(s / 60).toFixed(0)} min`;
type OnDisc = { mass: number; area: number };
const size = (f: OnDisc, s: Speech) =>
  `${s.q(f.mass, 'allUpMass', 2)} on ${s.units === 'metric' ? `${f.area.toFixed(2)} m²` : s.show(f.area, 'area')} of rotor`;

const CLAIM_WORDS = {
  'claim-impossible': (f: OnDisc & { claimed: number; ideal: number }, s: Speech) =>
    `Hover on ${f.claimed.toFixed(0)} W is claimed; ${size(f, s)} needs ${f.ideal.toFixed(0)} W even without any loss. Payload, power or rotor size is wrong.`,
  'claim-efficiency': (f: OnDisc & { claimed: number; ideal: number }, s: Speech) =>
    `Hover on ${f.claimed.toFixed(0)} W for ${size(f, s)} is an overall efficiency of ${((100 * f.ideal) / f.claimed).toFixed(0)} %; 45 to 65 % is usual.`,
  'claim-speed': (f: { claimed: number; advance: number }, s: Speech) =>
    `A top speed of ${s.q(f.claimed, 'speed', 0)} is claimed; the pitch advances ${s.q(f.advance, 'speed', 0)} at the static rpm, and rpm rises by a tenth or so in flight. More pitch, more rpm or less speed.`,
  'claim-time': (f: {
    claimed: number;
    energy: number;
    short: readonly { how: string; power: number }[];
    holds: string | null;
  }) => {
    const each = f.short.map((w) => `${minutes(f.energy / w.power)} ${w.how} at ${w.power.toFixed(0)} W`);
    const left = f.holds === null ? '' : ` It holds ${f.holds} only.`;
    return `${minutes(f.claimed)} are claimed; the pack’s ${wh(f.energy, 0)} last ${each.join(' and ')}.${left}`;
  },
  'claim-thrust': (f: { claimed: number; computed: number; sigma: number }, s: Speech) =>
    `The maker claims ${s.q(f.claimed, 'force', 1)}; ${s.n(f.computed, 'force', 1)} ± ${s.q(f.sigma, 'force', 1)} is computed. Bench it: claims are taken cold, on a fresh pack, and rounded up.`,
  'claim-current': (f: { claimed: number; computed: number; sigma: number }) =>
    `The maker claims ${f.claimed.toFixed(0)} A; ${f.computed.toFixed(1)} ± ${f.sigma.toFixed(1)} A is computed for this pack and propeller.`,
  'claim-over-pack': (f: { claimed: number; pack: number }) =>
    `${f.claimed.toFixed(0)} A is claimed, and the pack gives ${f.pack.toFixed(0)} A.`,
};

const OUT_WORDS = {
  'out-diameter': (f: { limit: number | null }, s: Speech) =>
    `the propeller is larger than the ${f.limit === null ? 'space' : s.q(f.limit, 'length', 0)} that clears the ground`,
  'out-cells': (_: object) => 'the motor or every controller of its current is not made for so many cells',
  'out-current': (f: { current: number }) =>
    `${f.current.toFixed(0)} A at full throttle is over the motor’s limit less the margin`,
  'out-pack current': (f: { current: number }) =>
    `${f.current.toFixed(0)} A is over what the pack gives less the margin`,
  'out-fuse': (f: { current: number; limit: number }) =>
    `${f.current.toFixed(0)} A is over the rule’s ${f.limit} A`,
  'out-controller': (_: object) => 'no controller of the list carries the current',
  'out-tip speed': (f: { limit: number }) => `the tips pass Mach ${f.limit}`,
  'out-mass': (f: { mass: number }, s: Speech) => `${s.q(f.mass, 'allUpMass', 2)} is over the mass limit`,
  'out-no level flight': (_: object) => 'it does not hold level flight at this throttle',
  'out-climb': (f: { climb: number; asked: number }, s: Speech) =>
    `it climbs at ${s.q(f.climb, 'speed', 1)}, ${s.plain(f.asked, 'speed')} is asked`,
  'out-strip': (f: { run: number }, s: Speech) =>
    `the run of ${Number.isFinite(f.run) ? s.q(f.run, 'distance', 1) : 'no end'} is longer than the strip`,
  'out-time': (f: { time: number; asked: number }) =>
    `${(f.time / 60).toFixed(1)} min is short of ${(f.asked / 60).toFixed(1)} min`,
};

export const DRIVE_WORDS = {
  ...LIMIT_WORDS,
  ...HOVER_WORDS,
  ...PACK_WORDS,
  ...SUPPLY_WORDS,
  ...ENERGY_WORDS,
  ...RUBBER_WORDS,
  ...TORQUE_WORDS,
  ...CLAIM_WORDS,
  ...OUT_WORDS,
};
