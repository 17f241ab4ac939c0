/** Words of the layout: stability, ground, thrust line, sizes. */
import { lower, type Speech } from './speech';

export const LAYOUT_WORDS = {
  'worst-margin': (f: { state: string; margin: number; least: number }, s: Speech) =>
    `Worst state: ${f.state}, static margin ${s.q(f.margin, 'chordPercent', 1)} of at least ${s.q(f.least, 'chordPercent', 1)}.`,
  'worst-nose-heavy': (f: { state: string; margin: number }, s: Speech) =>
    `Worst state: ${f.state}, nose-heavy with a static margin of ${s.q(f.margin, 'chordPercent', 1)}.`,
  'worst-yaw': (f: { state: string; stiffness: number }) =>
    `Worst state: ${f.state}, weathercocks weakly (Cnβ ${f.stiffness.toFixed(3)}).`,
  'least-margin': (f: { state: string; margin: number }, s: Speech) =>
    `Least margin: ${f.state}, ${s.q(f.margin, 'chordPercent', 1)}; all states are inside.`,
  'first-flight': (
    f: { start: number; chord: number; shift: number; step: number; aft: number },
    s: Speech,
  ) => {
    const mm = (x: number) => s.q(x, 'length', 0);
    const where =
      Math.abs(f.shift) < 0.0015
        ? 'where it is'
        : `${mm(Math.abs(f.shift))} ${f.shift < 0 ? 'ahead of' : 'behind'} where it is now`;
    return `First flight with the CG at ${mm(f.start)} from the nose datum, ${(100 * f.chord).toFixed(0)} % of the mean chord: ${where}. Then ${mm(f.step)} aft a flight, not past ${mm(f.aft)}; write down who moved it.`;
  },
  'tail-sized': (f: { name: string; factor: number; volume: number; margin: number }) => {
    const more = (100 * (f.factor - 1)).toFixed(0),
      area = f.factor > 1 ? `${more} % more area` : `${more} % of its area`;
    return `${f.name}: ${area} (tail volume ${f.volume.toFixed(2)}) gives a static margin of ${(100 * f.margin).toFixed(0)} % with the CG furthest aft.`;
  },
  'fin-sized': (f: { name: string; factor: number; volume: number; stiffness: number }) =>
    `${f.name}: area times ${f.factor.toFixed(2)} (fin volume ${f.volume.toFixed(3)}) gives Cnβ ${f.stiffness.toFixed(2)}.`,
  decalage: (
    f: { name: string; incidence: number; decalage: number; speed: number; state: string },
    s: Speech,
  ) =>
    `${f.name} at ${s.q(f.incidence, 'angle', 1)} (decalage ${s.q(f.decalage, 'angle', 1)}) flies ${s.q(f.speed, 'speed', 1)} in ${f.state} with the controls in line.`,
  'set-incidence': (f: { name: string; incidence: number }, s: Speech) =>
    `Set the ${lower(f.name)} to ${s.q(f.incidence, 'angle', 1)}`,
  'wash-out': (f: { by: number }, s: Speech) => `Wash the tips out ${s.q(f.by, 'angle', 1)} more`,
  'scale-tail': (f: { factor: number }) => `Scale the tail’s area by ${f.factor.toFixed(2)}`,
  'propeller-below': (f: { by: number }, s: Speech) =>
    `The propeller reaches ${s.q(f.by, 'length', 0)} below the ground: longer legs or a smaller propeller.`,
  'propeller-near': (f: { by: number }, s: Speech) =>
    `The propeller clears the ground by ${s.q(f.by, 'length', 0)}; a bump or a nose-over takes more.`,
  'on-its-nose': (_: object) => 'The CG lies ahead of the main wheels: it stands on its nose.',
  'on-its-tail': (_: object) => 'The CG lies behind the main wheels: it sits on its tail.',
  'noses-over': (f: { angle: number }, s: Speech) =>
    `The CG stands only ${s.q(f.angle, 'angle', 0)} behind the main wheels (16° to 25° is usual): it noses over when the wheels catch.`,
  overturns: (f: { angle: number }, s: Speech) =>
    `Overturn angle ${s.q(f.angle, 'angle', 0)}, above 63°: it tips in turns on the ground. A wider track or a lower CG.`,
  'tail-strike': (f: { angle: number; part: string; needed: number }, s: Speech) =>
    `It can rotate ${s.q(f.angle, 'angle', 0)} before ${f.part} touches; lift-off at the stall angle wants ${s.q(f.needed, 'angle', 0)}. Longer legs, or count on a faster lift-off.`,
  'thrust-through-cg': (_: object) => 'The thrust line passes through the CG: power does not pitch it.',
  'thrust-pitches': (f: { up: boolean; offset: number; change: number }, s: Speech) => {
    const line = `the line passes ${s.q(Math.abs(f.offset), 'length', 0)} ${f.offset > 0 ? 'above' : 'below'} the CG`,
      more = f.change > 0 ? 'more down' : 'more up';
    const much =
      Math.abs(f.change) > 0.12
        ? ' That is more than is usually built (2° to 4°); trim the rest with elevator mixed to throttle.'
        : '';
    return `Power pitches the nose ${f.up ? 'up' : 'down'} (${line}): ${s.q(Math.abs(f.change), 'angle', 1)} ${more} thrust would take it through the CG.${much}`;
  },
  'pusher-side': (_: object) => 'A pusher’s slipstream meets only the tail: begin without side thrust.',
  'tractor-side': (f: { side: number }, s: Speech) => {
    const set =
      f.side > 0.01 ? `${s.q(f.side, 'angle', 1)} right thrust is set` : '1° to 3° right thrust is usual';
    return `A right-turning propeller at the nose pulls left at low speed: ${set} (common practice, no source); trim by flying full power and none at one speed.`;
  },
  'beyond-models': (f: { what: string; value: number; count: number; low: number; high: number }) =>
    `${f.what} ${f.value.toFixed(2)} lies outside the ${f.count} models’ ${f.low.toFixed(2)} to ${f.high.toFixed(2)}.`,
};
