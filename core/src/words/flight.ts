/** Words of flight, brief and score. */
import type { KindName } from '../units';
import { othersToo, type AnySaid, type Speech } from './speech';

type Limit = {
  op: 'atLeast' | 'atMost' | 'between';
  min: number | null;
  max: number | null;
};

export function limitWords(f: Limit, kind: KindName, s: Speech): string {
  if (f.op === 'atLeast') return `at least ${s.show(f.min!, kind)}`;
  if (f.op === 'atMost') return `at most ${s.show(f.max!, kind)}`;
  return `${s.show(f.min!, kind)} to ${s.show(f.max!, kind)}`;
}

/** A slip of the decimal point would put the value inside. */
function slipOf(value: number, lo: number, hi: number): string {
  const ten = value < lo ? value * 10 : value / 10;
  return ten >= lo && ten <= hi ? ' A slip of ten, or a wrong unit?' : ' Is that what was meant?';
}

export const FLIGHT_WORDS = {
  'strip-too-short': (f: { state: string; run: number; strip: number }, s: Speech) => {
    const needs = f.run > 9000 ? 'more thrust than there is' : s.q(f.run, 'distance', 1);
    return `${f.state} needs ${needs} to leave the ground; the strip is ${s.plain(f.strip, 'distance')}.`;
  },
  'rolls-past': (f: { state: string; run: number; others: number; strip: number }, s: Speech) => {
    const rolls = f.run > 9000 ? 'rolls on without end' : `rolls ${s.q(f.run, 'distance', 0)} after landing`;
    return `${f.state} ${rolls}${othersToo(f.others)}; the strip is ${s.plain(f.strip, 'distance')}. Brakes or a skid, less speed, or another way back.`;
  },
  'weak-climb': (f: { state: string; rate: number }, s: Speech) =>
    `${f.state} climbs at ${s.q(f.rate, 'speed', 2)}: too little to clear anything.`,
  'gear-up-runs': (f: { state: string }) =>
    `${f.state} has its wheels in and runs along the strip: a run is a state of its own, wheels out.`,
  'flap-past-throw': (f: { state: string; control: string; angle: number; most: number }, s: Speech) =>
    `${f.state} sets ${f.control} to ${s.q(f.angle, 'angle', 0)}; it goes ${s.q(f.most, 'angle', 0)} at most.`,
  'of-state': (f: { state: string; said: AnySaid }, s: Speech) => `${f.state}: ${s.said(f.said)}`,
  'requirement-nameless': (f: { quantity: string; state: string }) =>
    `A requirement names “${f.quantity}” in “${f.state}”, which this design does not have.`,
  requirement: (
    f: Limit & { name: string; kind: KindName; state: string | null; value: number; rule: string },
    s: Speech,
  ) => {
    const where = f.state === null ? '' : ` in ${f.state}`,
      rule = f.rule ? ` (${f.rule})` : '';
    return `${f.name}${where} is ${s.show(f.value, f.kind)}; ${limitWords(f, f.kind, s)} is asked${rule}.`;
  },
  unusual: (
    f: { name: string; kind: KindName; aircraft: string; value: number; low: number; high: number },
    s: Speech,
  ) => {
    const usual = `usual for ${f.aircraft} is ${s.show(f.low, f.kind)} to ${s.show(f.high, f.kind)}`;
    return `${f.name} comes out at ${s.show(f.value, f.kind)}; ${usual}.${slipOf(f.value, f.low, f.high)}`;
  },
  'formula-error': (f: { task: string; problem: string }) => `${f.task}: ${f.problem}`,
  'formula-no-number': (_: object) => 'The formula does not come to a number here.',
  'never-tried': (_: object) =>
    'Nothing says how often this comes off: it is counted as if it always did. Try it, and count.',
  /** why a task gives no points in a state */
  'no-points': (f: { because: readonly AnySaid[] }, s: Speech) =>
    `No points: ${f.because.map((b) => s.said(b)).join(', ')}.`,
  /** the same where it is plain that there are none */
  because: (f: { because: readonly AnySaid[] }, s: Speech) =>
    `${f.because.map((b) => s.said(b)).join(', ')}.`,
  'lift-below-weight': (f: { ratio: number }) => `lift thrust is ${f.ratio.toFixed(2)} of the weight`,
  'leaves-low': (
    f: { state: string; over: number; lost: number; lowest: number | null; needed: number | null },
    s: Speech,
  ) => {
    const slow = `${f.state} is let go at ${f.over.toFixed(2)} times its stall speed`;
    if (f.lowest === null) return `${slow}: 1.1 is the least.`;
    const down =
      f.lowest < 0
        ? `loses ${s.q(f.lost, 'distance', 1)} before it flies, more than there is`
        : `comes within ${s.q(f.lowest, 'distance', 1)} of the ground`;
    const mend = f.needed === null ? '' : ` A throw of ${s.q(f.needed, 'speed', 1)} would do.`;
    return `${slow} and ${down}.${mend}`;
  },
  'usual-throw': (f: { speed: number; height: number; angle: number }, s: Speech) =>
    `Thrown as most throw, ${s.q(f.speed, 'speed', 0)} from ${s.q(f.height, 'distance', 1)}: time your own throw over a known way.`,
  'nothing-lifts': (_: object) => 'nothing lifts it in hover',
  'run-over-strip': (f: { run: number; strip: number }, s: Speech) =>
    `ground run of ${s.q(f.run, 'distance', 1)} on a strip of ${s.plain(f.strip, 'distance')}`,
  'does-not-climb': (_: object) => 'it does not climb',
  'breaks-in-turn': (_: object) => 'the spar breaks in the lap turn',
};
