/**
 * Load cases of one state: corners of the diagram of load factor over speed, a gust either way, a rolling pull, and the
 * aircraft lifted by its tips. Loads are those of the case itself; how many times it is borne is the verdict's.
 */
import { G0 } from '../air';
import { addPoint } from './beam';
import { gustStep, type GustInput } from './gust';
import {
  addTo,
  airLoad,
  nothing,
  type Carried,
  type SectionLimits,
  type Span,
  type TrimLine,
} from './spanLoad';

export const CASES = [
  'pull',
  'fast-pull',
  'gust-up',
  'rolling-pull',
  'push',
  'fast-push',
  'gust-down',
  'tip-lift',
] as const;
export type CaseId = (typeof CASES)[number];

export const isUp = (id: CaseId): boolean => id !== 'push' && id !== 'fast-push' && id !== 'gust-down';

export interface CaseInput {
  readonly mass: number;
  /** [kg/m3] */ readonly density: number;
  /** reference area [m2] */ readonly area: number;
  /** largest and least trimmed lift coefficient */ readonly clMax: number;
  readonly clMin: number;
  /** fastest flown [m/s] */ readonly fastest: number;
  /** load factors asked */ readonly up: number;
  readonly down: number;
  /** vertical gust [m/s] */ readonly gust: number;
  readonly gusts: GustInput;
  /** largest throw of the ailerons [rad] */ readonly aileron: number;
}

export interface LoadCase {
  readonly id: CaseId;
  /** load factor */ readonly n: number;
  /** [m/s]; 0 on the ground */ readonly speed: number;
  readonly load: Carried;
}

/** Rolling pulls are made at two thirds of the load factor (14 CFR 23.349, from memory). */
const ROLLING = 2 / 3;

interface Flown {
  readonly n: number;
  /** [Pa] */ readonly q: number;
  readonly CL: number;
  readonly aileron?: number;
}

/** A load factor at a speed, or at the speed where the stall lets it: what the wing cannot lift is flown faster. */
function flownAt(i: CaseInput, n: number, speed: number): Flown {
  const W = i.mass * G0,
    limit = n >= 0 ? i.clMax : i.clMin,
    q = 0.5 * i.density * speed * speed,
    CL = (n * W) / (q * i.area);
  if (Math.abs(CL) <= Math.abs(limit)) return { n, q, CL };
  return { n, q: (n * W) / (i.area * limit), CL: limit };
}

/** At the stall: the slowest speed that gives the load factor. */
const slowest = (i: CaseInput, n: number): Flown => flownAt(i, n, 0);

/** Where no push is asked the wing is still pushed at 1 g, to know what it stands. */
const pushed = (i: CaseInput): number => -(i.down || 1);

function flown(i: CaseInput): Readonly<Record<Exclude<CaseId, 'tip-lift'>, Flown>> {
  const air = (limit: number) => (0.5 * i.density * i.fastest ** 2 * i.area * limit) / (i.mass * G0),
    step = gustStep(i.gusts, i.fastest, i.gust);
  return {
    pull: slowest(i, i.up),
    'fast-pull': flownAt(i, i.up, i.fastest),
    'gust-up': flownAt(i, Math.min(1 + step, air(i.clMax)), i.fastest),
    'rolling-pull': { ...flownAt(i, ROLLING * i.up, speedOf(i, slowest(i, i.up))), aileron: i.aileron },
    push: slowest(i, pushed(i)),
    'fast-push': flownAt(i, pushed(i), i.fastest),
    'gust-down': flownAt(i, Math.max(1 - step, air(i.clMin)), i.fastest),
  };
}

const speedOf = (i: CaseInput, { q }: Flown): number => Math.sqrt((2 * q) / i.density);

/** All that the cases of a state are made of. */
export interface CasesOf {
  readonly span: Span;
  readonly trim: TrimLine;
  readonly limits: SectionLimits;
  /** of the half's own masses at 1 g */ readonly weight: Carried;
  readonly input: CaseInput;
}

/** Lifted by its tips at rest: half the weight at each, less what the half itself weighs. */
function tipLift({ span, weight, input }: CasesOf, out: Carried): void {
  for (const load of [out.shear, out.moment, out.torque]) load.fill(0);
  addPoint(span.bearing.y, span.bearing.tip, (input.mass * G0) / 2, out.shear, out.moment);
  addTo(out, weight, 1);
}

/**
 * Goes through the cases, each in the same arrays: whoever wants to keep a load copies it.
 * @param only the cases that are wanted
 */
export function eachCase(
  of: CasesOf,
  take: (c: LoadCase) => void,
  only: readonly CaseId[] = CASES,
  out: Carried = nothing(of.span.bearing.y.length),
): void {
  const { span, trim, limits, weight, input } = of,
    all = flown(input);
  for (const id of only) {
    if (id === 'tip-lift') {
      tipLift(of, out);
      take({ id, n: 1, speed: 0, load: out });
      continue;
    }
    const f = all[id];
    airLoad(span, trim, limits, f, out);
    addTo(out, weight, f.n);
    take({ id, n: f.n, speed: speedOf(input, f), load: out });
  }
}

/** The cases with loads of their own. */
export function loadCases(of: CasesOf, only: readonly CaseId[] = CASES): LoadCase[] {
  const kept: LoadCase[] = [];
  for (const id of only) eachCase(of, (c) => kept.push(c), [id]);
  return kept;
}

/** Trimmed lift coefficient at which the first strip is at its section's limit downward. */
export function leastLift({ strips }: Span, { low, rise }: TrimLine, { least }: SectionLimits): number {
  let most = -Infinity;
  strips.forEach((s, j) => {
    const k = 2 / s.chord,
      at = k * (s.shape + low.alpha * s.alpha + low.elevator * s.elevator),
      by = k * (rise.alpha * s.alpha + rise.elevator * s.elevator);
    if (by > 0) most = Math.max(most, (least[j] - at) / by);
  });
  return most;
}
