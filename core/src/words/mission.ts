/** Words of missions, of what is done in the air, and of figures that somebody stated. */
import { lower, type AnySaid, type Speech } from './speech';

/** Why a leg is not flown to its end. */
const STOPS: Readonly<Record<string, string>> = {
  clock: 'the clock has run out',
  charge: 'the pack is down to its reserve',
  climb: 'it does not climb',
  cargo: 'more is to be let go than is aboard',
  wind: 'it does not get on against the wind',
  change: 'it does not get from rotors to wing',
  launch: 'it does not fly off',
  'no way': 'no speed is known that it flies it at',
  stall: 'the wing stalls at that speed and bank',
  strength: 'the turn asks more than the structure may bear',
  throttle: 'full throttle does not hold it',
  winch: 'the line pulls harder than the winch',
  spot: 'it comes down short of the spot',
  flight: 'it is down before the way is flown',
  strip: 'the run is longer than the strip',
  landing: 'it rolls past the end of the strip',
  ground: 'it is on the ground before the leg is over',
  height: 'it is above the height that you allow',
  mass: 'it is heavier than you allow',
};

/** What runs short, as a noun. */
const SHORT: Readonly<Record<string, string>> = {
  clock: 'the clock',
  charge: 'the pack',
  stall: 'speed over the stall',
  strength: 'the structure',
  throttle: 'full throttle',
  motor: 'the motor’s current',
  controller: 'the controller’s current',
  pack: 'the pack’s current',
  volts: 'the least volts',
  heat: 'the winding’s heat',
  winch: 'the pull of the winch',
  leg: 'the length of the leg',
  spot: 'the glide to the spot',
  flight: 'the length of the flight',
  strip: 'the strip',
  landing: 'the strip, landing',
  ground: 'the height',
  height: 'the height limit',
  mass: 'the mass limit',
};

type Rounds = { by: string; rounds: number | null; used: number };

const WHOLE = {
  'of-mission': (f: { mission: string; said: AnySaid }, s: Speech) => `${f.mission}: ${s.said(f.said)}`,
  'mission-done': (f: { left: number | null; seconds: number }, s: Speech) => {
    const left =
      f.left === null ? '' : `; ${(100 * f.left).toFixed(0)} % of the charge above the reserve is left`;
    return `All of it is flown, in ${s.q(f.seconds, 'time', 0)}${left}.`;
  },
  'mission-counted': (f: { by: string; rounds: number; name: string }) =>
    `${f.by === 'clock' ? 'The clock' : 'The pack'} ends it: ${lower(f.name)} fits ${Math.floor(f.rounds)} times, ${f.rounds.toFixed(1)} unrounded.`,
  'mission-stops': (f: { by: string; leg: string }) =>
    `It ends in “${f.leg}”: ${STOPS[f.by] ?? 'it is not flown so'}.`,
  'mission-next': (f: Rounds) =>
    f.rounds === null
      ? `Next would be ${SHORT[f.by] ?? f.by}, used to ${(100 * f.used).toFixed(0)} %.`
      : `Next would be ${SHORT[f.by] ?? f.by}: it allows ${f.rounds.toFixed(1)}.`,
  'mission-tightest': (f: { leg: string; of: string; ratio: number }) =>
    `Nearest to a limit is “${f.leg}”: ${SHORT[f.of] ?? f.of}, ${f.ratio.toFixed(2)} times what it needs.`,
  'mission-unflown': (f: { legs: readonly string[]; share: number }) =>
    `Never flown yet: ${f.legs.map(lower).join(', ')}. ${(100 * f.share).toFixed(0)} % of the energy rests on them.`,
};

const IN_THE_AIR = {
  'leg-too-short': (
    f: { leg: string; seconds: number; speed: number; needs: number; has: number },
    s: Speech,
  ) =>
    `“${f.leg}”: ${s.q(f.seconds, 'time', 0)} at ${s.q(f.speed, 'speed', 0)} needs ${s.q(f.needs, 'distance', 0)}, the leg has ${s.plain(f.has, 'distance')}.`,
  'leg-fits': (f: { leg: string; seconds: number; speed: number; needs: number; has: number }, s: Speech) =>
    `“${f.leg}”: ${s.q(f.seconds, 'time', 0)} at ${s.q(f.speed, 'speed', 0)} needs ${s.q(f.needs, 'distance', 0)} of the ${s.plain(f.has, 'distance')} that the leg has.`,
  'glide-short': (f: { leg: string; reaches: number; spot: number }, s: Speech) =>
    `“${f.leg}” comes down after ${s.q(f.reaches, 'distance', 0)}, short of the spot at ${s.plain(f.spot, 'distance')}.`,
  'winch-slip': (f: { stated: number; computed: number; slip: string }, s: Speech) => {
    const why: Readonly<Record<string, string>> = {
      ten: 'A slip of ten?',
      hundred: 'A slip of the decimal point, or of centimetres and millimetres?',
      minute: 'Turns a second taken for turns a minute?',
      radius: 'Radius taken for diameter?',
      gear: 'Was the gear left out?',
      unknown: 'One of drum, turns and gear is not as typed.',
    };
    return `The line runs at ${s.q(f.computed, 'speed', 2)} off this drum; ${s.q(f.stated, 'speed', 2)} was stated. ${why[f.slip] ?? ''}`;
  },
  'line-unusual': (f: { speed: number }, s: Speech) =>
    `A line at ${s.q(f.speed, 'speed', 2)} is unusual: such winches run it between ${s.n(0.1, 'speed', 1)} and ${s.q(4, 'speed', 0)}. A slip of ten, or a wrong unit?`,
  'line-meets-tail': (f: { part: string; clear: number }, s: Speech) =>
    f.clear < 0
      ? `The line runs through the ${lower(f.part)}: it passes ${s.q(-f.clear, 'length', 0)} above its lower edge.`
      : `The line passes ${s.q(f.clear, 'length', 0)} below the ${lower(f.part)}: a gust brings them together.`,
  'line-meets-propeller': (f: { part: string }) =>
    `The line passes through the disc of ${lower(f.part)}: it would be cut, and the propeller with it.`,
};

const STATED = {
  'stated-speeds': (f: { speeds: number; roots: number }) =>
    `They agree: the speeds differ by a factor of ${f.speeds.toFixed(3)}, the roots of the masses by ${f.roots.toFixed(3)}.`,
  'stated-speeds-apart': (f: { speeds: number; roots: number; mass: number; implied: number }, s: Speech) =>
    `Not at one lift coefficient: speeds differ by ${f.speeds.toFixed(3)}, roots of the masses by ${f.roots.toFixed(3)}. That speed goes with ${s.q(f.implied, 'allUpMass', 0)}, not ${s.plain(f.mass, 'allUpMass')}.`,
  'stated-drag': (f: { ratio: number }) =>
    f.ratio >= 1
      ? `At the same power that is ${f.ratio.toFixed(2)} times the drag area.`
      : `Faster with something out at the same power: it cannot be; one of the speeds is wrong, or the power was not the same.`,
  'stated-pitch': (f: { advance: number; speed: number; agrees: boolean }, s: Speech) =>
    f.agrees
      ? `Pitch times turns is ${s.q(f.advance, 'speed', 1)}: ${s.plain(f.speed, 'speed')} is ${(100 * (f.speed / f.advance)).toFixed(0)} % of it.`
      : `Pitch times turns is ${s.q(f.advance, 'speed', 1)}: such a propeller no longer pulls at ${s.plain(f.speed, 'speed')}.`,
  'stated-loading': (f: { implied: number; mass: number; agrees: boolean }, s: Speech) =>
    f.agrees
      ? `They agree: loading times area is ${s.q(f.implied, 'allUpMass', 0)}.`
      : `Loading times area is ${s.q(f.implied, 'allUpMass', 0)}, not ${s.plain(f.mass, 'allUpMass')}.`,
  'stated-volts': (f: {
    cells: number;
    volts: number;
    nominal: number;
    full: number;
    least: number;
    is: 'nominal' | 'full' | null;
  }) => {
    const they = `${f.cells} cells have ${f.nominal.toFixed(1)} V on the label and ${f.full.toFixed(1)} V full`;
    return f.is === null
      ? `${they}: ${f.volts} V is neither.`
      : `${they}: ${f.volts} V is what ${f.is === 'full' ? 'they have full' : 'the label says'}.`;
  },
  'stated-hover': (
    f: {
      power: number;
      ideal: number;
      usual: number;
      at: number;
      is: 'impossible' | 'better than good' | 'possible';
    },
    s: Speech,
  ) => {
    const least = `no rotor does it for less than ${s.q(f.ideal, 'power', 0)}, usual ones for about ${s.q(f.usual, 'power', 0)} (${f.at} of the power lifts)`;
    if (f.is === 'impossible') return `It cannot hover on ${s.plain(f.power, 'power')}: ${least}.`;
    return f.is === 'possible'
      ? `It may: ${least}.`
      : `${s.plain(f.power, 'power')} would be better than good drives are: ${least}.`;
  },
  'stated-run': (f: { allowed: number; times: number }, s: Speech) =>
    `With the same wing and thrust that strip allows ${s.q(f.allowed, 'wingLoading', 2)}, ${f.times.toFixed(2)} times the loading: the run goes with its square.`,
  'stated-climb': (f: { asks: number; has: number; share: number; agrees: boolean }, s: Speech) => {
    const asks = `Height alone asks ${s.q(f.asks, 'specificPower', 0)}`;
    return f.agrees
      ? `${asks}; stated is ${s.q(f.has, 'specificPower', 0)}, of which ${(100 * f.share).toFixed(0)} % would go into height (a third to a half is usual).`
      : `${asks}, more than the ${s.q(f.has, 'specificPower', 0)} that are stated.`;
  },
};

export const MISSION_WORDS = { ...WHOLE, ...IN_THE_AIR, ...STATED };
