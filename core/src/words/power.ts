/** Words of drives, packs and supply. */
import { lower, type Speech } from './speech';

type Drawn = { part: string; drawn: number; limit: number };

export const POWER_WORDS = {
  'over-current': (f: Drawn) =>
    `Full throttle draws ${f.drawn.toFixed(0)} A, over the ${f.part}’s ${f.limit.toFixed(0)} A. A smaller propeller or less pitch lowers it.`,
  'near-current': (f: Drawn) =>
    `Full throttle draws ${f.drawn.toFixed(0)} A of the ${f.part}’s ${f.limit.toFixed(0)} A: under 15 % margin.`,
  'hot-winding': (f: { winding: number; limit: number }, s: Speech) => {
    const over = f.winding >= 599 ? 'far over' : `${s.q(f.winding, 'temperature', 0)}, over`;
    return `Full throttle held on the ground heats the winding to ${over} its ${s.q(f.limit, 'temperature', 0)}: keep it short, or a smaller propeller.`;
  },
  'odd-pitch': (f: { ratio: number; least: number; most: number }) =>
    `Pitch is ${f.ratio.toFixed(2)} of the diameter; blades were compared with tests from ${f.least} to ${f.most}.`,
  'fast-tip': (f: { mach: number }) =>
    `The propeller tip passes Mach ${f.mach} at full throttle: noise and loss.`,
  'weak-lift': (f: { state: string; ratio: number; least: number; wanted: number }) =>
    `${f.state}: lift thrust is ${f.ratio.toFixed(2)} times the weight; ${f.least} is the least, ${f.wanted} is wanted.`,
  'parts-unknown': (f: { drive: string; parts: readonly string[] }) =>
    `${f.drive}: ${f.parts.join(', ')} not known, so that nothing is computed of it.`,
  'pushes-nowhere': (f: { drive: string }) =>
    `Where ${f.drive} pushes is not said: it is reckoned at the datum, in the middle. Give its thruster a place.`,
  'not-computed': (f: { drive: string }) =>
    `${f.drive} is not computed: one forward drive and one set of lift rotors are.`,
  'packs-of-two-chemistries': (f: { a: string; b: string }) =>
    `A ${f.a} and a ${f.b} pack must not be joined: their volts run apart.`,
  'packs-of-two-heights': (f: { a: number; b: number }) =>
    `In parallel both packs need the same number of cells in series (here ${f.a} and ${f.b}): the higher one would charge the lower without limit.`,
  'one-line': (f: { names: readonly string[] }) =>
    `Steering hangs on one line (${f.names.map(lower).join(', ')}); a separate receiver supply takes it off.`,
  'over-rating': (f: { part: string; current: number; rating: number }) =>
    `${f.part}: ${f.current.toFixed(1)} A where ${f.rating} A is rated.`,
  volts: (f: {
    part: string;
    source: 'pack' | 'other';
    printed: number;
    full: number;
    sagged: number;
    over: number | null;
    under: number | null;
  }) => {
    const printed = `${f.printed.toFixed(1)} V`,
      three =
        f.source === 'pack'
          ? `${printed} on the label, ${f.full.toFixed(1)} V off the charger, ${f.sagged.toFixed(1)} V sagged`
          : printed;
    if (f.over !== null) return `${f.part} stands ${f.over} V and meets ${three}.`;
    if (f.under !== null) return `${f.part} needs ${f.under} V and meets ${three}.`;
    return `${f.part}: ${three}; inside its limits.`;
  },
  'no-rubber-listed': (f: { mass: number }, s: Speech) =>
    `All-up leaves out the rubber: strip and length make ${s.q(f.mass, 'mass', 1)}, and no line of the mass list is the rubber motor.`,
  'other-rubber': (f: { listed: number; mass: number }, s: Speech) =>
    `The mass list says ${s.q(f.listed, 'mass', 2)} of rubber; strip, strands and length make ${s.q(f.mass, 'mass', 2)}.`,
  'weigh-rubber': (f: { mass: number }, s: Speech) => `Weigh the rubber in at ${s.q(f.mass, 'mass', 2)}`,
  'flown-as-computed': (f: { propeller: string }) =>
    `${f.propeller} has been on the thrust stand, and the design flies it as computed.`,
  'fly-as-benched': (f: { propeller: string }) => `Fly ${f.propeller} as benched`,
  'change-stalls': (_: object) =>
    'The change from rotors to wing does not come to its end: nothing is to spare ahead somewhere on the way.',
  'frame-drag-guessed': (_: object) =>
    'What the air holds against the frame is taken as that of a box of the body’s size; type the drag areas, or fly a steady lean.',
  'cg-beside-rotors': (
    f: {
      state: string;
      rotors: number;
      off: number;
      mass: number;
      moved: { item: string; by: number } | null;
    },
    s: Speech,
  ) => {
    const side = f.off > 0 ? 'behind' : 'ahead of',
      line = `${f.state}: the CG lies ${s.q(Math.abs(f.off), 'length', 0)} ${side} the line of the ${f.rotors === 2 ? 'two shafts' : 'rotors'}, and no share of thrust holds it there: in hover it pitches ${f.off > 0 ? 'up' : 'down'}.`;
    const moment = Math.abs(f.off) * f.mass;
    if (!f.moved)
      return `${line} Move the shafts ${s.q(Math.abs(f.off), 'length', 0)} ${f.off > 0 ? 'aft' : 'forward'}, or ${s.q(moment / 0.1, 'mass', 0)} by ${s.q(0.1, 'length', 0)} ${f.off > 0 ? 'forward' : 'aft'}.`;
    return `${line} Move the ${lower(f.moved.item)} ${s.q(Math.abs(f.moved.by), 'length', 0)} ${f.moved.by < 0 ? 'forward' : 'aft'}, or the shafts ${s.q(Math.abs(f.off), 'length', 0)} ${f.off > 0 ? 'aft' : 'forward'}.`;
  },
  'move-under-rotors': (f: { item: string; by: number }, s: Speech) =>
    `Move ${lower(f.item)} ${s.q(Math.abs(f.by), 'length', 0)} ${f.by < 0 ? 'forward' : 'aft'}`,
  'rotor-worked-hard': (f: { state: string; load: number; most: number }) =>
    `${f.state}: one rotor gives ${(100 * f.load).toFixed(0)} % of all it can; above ${(100 * f.most).toFixed(0)} % little is left to steer with. Bring the CG to the rotors’ middle, or lighten it.`,
  'wind-not-held': (f: { state: string; held: number; short: number }, s: Speech) =>
    `${f.state}: it holds ${s.q(f.held, 'speed', 1)} and the wind with its gusts is ${s.q(f.short, 'speed', 1)} more: it will be carried away.`,
  'rotor-drawn': (f: { rotor: string; drawn: number; driven: number }, s: Speech) =>
    `${f.rotor} is drawn ${s.q(f.drawn, 'length', 0)} across; the lift propellers of the drive are ${s.q(f.driven, 'length', 0)}.`,
  'draw-as-driven': (_: object) => 'Draw them as driven',
  'odd-pack': (f: { energy: number; mass: number }, s: Speech) =>
    `The pack holds ${s.q(f.energy, 'energy', 0)} and weighs ${s.q(f.mass, 'mass', 0)}: ${(f.energy / 3600 / f.mass).toFixed(0)} Wh/kg, where lithium packs give 120 to 220. One of the two numbers is off.`,
  'odd-cell': (f: { charge: number; resistance: number }) => {
    const ampHours = f.charge / 3600;
    return `A cell of ${ampHours.toFixed(1)} Ah with ${(f.resistance * 1000).toFixed(1)} mΩ is unusual; ${(20 / ampHours).toFixed(0)} mΩ would be ordinary.`;
  },
  'odd-motor': (_: object) =>
    'Motor resistance times no-load current exceeds 2 V: check that the resistance was entered in milliohms.',
  'odd-controller': (_: object) => 'The controller is rated six times the motor: check the two limits.',
};
