/** What makes the root stall first: the least washout, or another section outboard, with their price in drag and lift. */
import type { PolarSet } from '../section';
import type { Design } from '../design';
import { inducedDrag } from './lattice';
import { liftTable } from './liftTable';
import { sweepStall, type StallSweep } from './stallSweep';
import type { LinearAero } from './trim';
import type { CoupledStrips, StripSections } from './coupledStrips';

const DEG = Math.PI / 180;

/** Ailerons are to answer so far past the first stall [rad] where the design does not say (common practice, no source). */
export const AILERON_RESERVE = 2.5 * DEG;

export interface StallRemedy {
  /** added twist at the tip [rad], below zero washes out */ twist: number;
  /** section of the outer part, where that is the remedy */ section: string | null;
  reserve: number;
  clMax: number;
  /** change of the largest lift coefficient, and of the induced drag coefficient at `cl` */ lostLift: number;
  addedDrag: number;
  sweep: StallSweep;
}

interface Task {
  coupled: CoupledStrips;
  sections: StripSections;
  design: Pick<Design, 'surfaces'>;
  aero: LinearAero;
  x: number;
  z: number;
}

/** Twist that grows evenly from `from` (fraction of the half span) to the tip. */
function twistOf(c: CoupledStrips, wing: string, tip: number, from: number): Float64Array {
  const half = Math.max(...c.sol.strips.filter((s) => s.surface === wing).map((s) => s.inner + s.width));
  return Float64Array.from(c.at, (i) => {
    const s = c.sol.strips[i];
    return s.surface === wing ? tip * Math.max(0, (s.y / half - from) / (1 - from)) : 0;
  });
}

/** Induced drag of the attached flow at a lift coefficient with added twist. */
function dragWith(c: CoupledStrips, cl: number, twist: Float64Array): number {
  const { sol } = c,
    k = c.at.length;
  const extra = new Float64Array(sol.strips.length);
  c.at.forEach((s, i) => {
    for (let j = 0; j < k; j++) extra[s] += c.symmetric[i * k + j] * twist[j];
  });
  const lift = sol.strips.reduce(
    (sum, s, i) => sum + (s.mirrored ? (4 * extra[i] * s.dy) / sol.refArea : 0),
    0,
  );
  const alpha = (cl - sol.coefficients.cl0 - lift) / sol.coefficients.clAlpha;
  return inducedDrag(
    sol,
    sol.shape.map((g, i) => g + alpha * sol.alpha[i] + extra[i]),
  );
}

const STEP = 1 * DEG,
  LEAST = 2 * DEG;

/**
 * The least added washout with which the ailerons answer `wanted` [rad] past the first stall; null when even `most`
 * does not do it.
 * @param cl lift coefficient at which the price in drag is told
 */
export function leastWashout(
  task: Task,
  wanted: number,
  cl: number,
  most = 8 * DEG,
  from = 0.3,
): StallRemedy | null {
  const wing = task.design.surfaces.find((s) => s.role === 'wing')!.id;
  const plain = sweepStall(task, { kind: 'level' }, STEP, undefined, LEAST);
  const withTwist = (t: number) =>
    sweepStall(task, { kind: 'level' }, STEP, twistOf(task.coupled, wing, -t, from), LEAST);
  const price = (t: number, sweep: StallSweep): StallRemedy => {
    const tw = twistOf(task.coupled, wing, -t, from);
    return {
      twist: -t,
      section: null,
      reserve: sweep.aileronReserve ?? 0,
      clMax: sweep.clMax,
      lostLift: sweep.clMax - plain.clMax,
      addedDrag: dragWith(task.coupled, cl, tw) - dragWith(task.coupled, cl, new Float64Array(tw.length)),
      sweep,
    };
  };
  if (plain.aileronReserve === null) return null;
  if (plain.aileronReserve >= wanted) return price(0, plain);
  if ((withTwist(most).aileronReserve ?? 0) < wanted) return null;
  // the reserve grows with washout, in steps of the sweep; half a degree is as fine as anyone builds
  let t = 0.5 * DEG;
  while (t < most && (withTwist(t).aileronReserve ?? 0) < wanted) t += 0.5 * DEG;
  return price(t, withTwist(t));
}

/** Each other section put on the strips outboard of `from`: what it does to the reserve. Those not worse than now, best first. */
export function tipSections(
  task: Task,
  polars: ReadonlyMap<string, PolarSet>,
  reynoldsOf: (chord: number) => number,
  zeroOf: (section: string) => number,
  cl: number,
  from = 0.5,
): StallRemedy[] {
  const wing = task.design.surfaces.find((s) => s.role === 'wing')!;
  const half = wing.stations[wing.stations.length - 1].y;
  const plain = sweepStall(task, { kind: 'level' }, STEP, undefined, LEAST);
  const used = new Set(wing.stations.map((s) => s.section));
  const out: StallRemedy[] = [];
  for (const [section, set] of polars) {
    if (used.has(section) && used.size === 1) continue;
    const tables = [...task.sections.tables],
      zero = task.sections.zero.slice(),
      twist = new Float64Array(task.coupled.at.length);
    task.coupled.at.forEach((i, n) => {
      const s = task.coupled.sol.strips[i];
      if (s.surface !== wing.id || s.y / half < from) return;
      const z = zeroOf(section);
      twist[n] = zero[n] - z;
      zero[n] = z;
      tables[n] = liftTable(set, reynoldsOf(s.chord));
    });
    const sweep = sweepStall({ ...task, sections: { tables, zero } }, { kind: 'level' }, STEP, twist, LEAST);
    if (sweep.aileronReserve === null || sweep.aileronReserve < (plain.aileronReserve ?? 0)) continue;
    out.push({
      twist: 0,
      section,
      reserve: sweep.aileronReserve,
      clMax: sweep.clMax,
      lostLift: sweep.clMax - plain.clMax,
      addedDrag:
        dragWith(task.coupled, cl, twist) - dragWith(task.coupled, cl, new Float64Array(twist.length)),
      sweep,
    });
  }
  return out.sort((a, b) => b.reserve - a.reserve);
}
