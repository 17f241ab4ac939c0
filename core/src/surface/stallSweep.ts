/**
 * The stall as it comes: angle of attack raised step by step with strips at their sections' lift, level, in a sideslip,
 * rolling or in a banked turn; where it begins on every surface, how far it spreads, and until when the ailerons answer.
 */
import { clamp } from '../numeric';
import type { Design } from '../design';
import { forcesOf, type Motion } from './forces';
import { momentAbout, type LinearAero } from './trim';
import type { CoupledStrips, StripSections } from './coupledStrips';
import { solveCoupled, type CoupledFlow, type StripFlow } from './coupledFlow';

const DEG = Math.PI / 180;

/** The motion in which the stall is met. Bank [rad] of a level turn to the right; rates as p b / 2V. */
export type SweepCase =
  | { kind: 'level' }
  | { kind: 'sideslip'; beta: number }
  | { kind: 'rolling'; helix: number }
  | { kind: 'turn'; bank: number; mass: number; density: number };

export interface SurfaceStall {
  surface: string;
  /** first strip past its stall angle */ alpha: number;
  eta: number;
  side: 'left' | 'right';
}

export interface StallSweep {
  flows: CoupledFlow[];
  /** largest lift coefficient reached, and its angle [rad] */ clMax: number;
  alphaStall: number;
  /** first stall of each surface, earliest first */ first: SurfaceStall[];
  /**
   * angle at which half of the ailerons' span has let go on either side; null within the sweep it never does, or
   * there are none
   */
  aileronsLost: number | null;
  /** that angle less the first stall of the wing [rad]; the sweep's end stands for never */ aileronReserve:
    number | null;
  /** an angle did not settle */ rough: boolean;
}

/** Past this share of its span stalled a foreplane no longer holds the nose up, and a sweep has seen enough of a wing. */
const STALLED_SHARE = 0.75;
const FROM = -4 * DEG,
  TO = 26 * DEG;

interface Task {
  coupled: CoupledStrips;
  sections: StripSections;
  design: Pick<Design, 'surfaces'>;
  aero: LinearAero;
  x: number;
  z: number;
}

/** Elevator [rad] that trims the lattice at an angle of attack; 0 without one. */
function elevatorFor(aero: LinearAero, alpha: number, x: number): number {
  const m = momentAbout(aero, x);
  return Math.abs(m.control) < 1e-6 ? 0 : clamp(-(m.zero + m.slope * alpha) / m.control, -0.6, 0.6);
}

/** Angle of roll control that balances a motion, within its throw. */
function trimRoll(task: Task, m: Motion): number {
  const most = Math.max(
    0,
    ...task.design.surfaces.flatMap((s) =>
      s.controls
        .filter((c) => ['aileron', 'elevon', 'flaperon'].includes(c.kind))
        .map((c) => c.maxDeflection),
    ),
  );
  if (most === 0) return 0;
  const now = forcesOf(task.coupled.sol, m).Cl,
    unit = forcesOf(task.coupled.sol, { ...m, aileron: 0.01 }).Cl;
  return Math.abs(unit - now) < 1e-9 ? 0 : clamp((-0.01 * now) / (unit - now), -most, most);
}

function motionAt(task: Task, how: SweepCase, alpha: number, cl: number): Motion {
  const m: Motion = { alpha, elevator: elevatorFor(task.aero, alpha, task.x), x: task.x, z: task.z };
  switch (how.kind) {
    case 'level':
      return m;
    case 'sideslip':
      return { ...m, beta: how.beta };
    case 'rolling':
      return { ...m, p: (2 * how.helix) / task.coupled.sol.refSpan };
    case 'turn': {
      // r/V = rho S CL sin(phi) cos(phi) / 2m, q/V = rho S CL sin^2(phi) / 2m: from n = 1/cos(phi) and psi' = g tan(phi) / V
      const k = (how.density * task.coupled.sol.refArea * Math.max(cl, 0.1)) / (2 * how.mass);
      const turning = {
        ...m,
        r: k * Math.sin(how.bank) * Math.cos(how.bank),
        q: k * Math.sin(how.bank) ** 2,
      };
      return { ...turning, aileron: trimRoll(task, turning) };
    }
  }
}

/**
 * @param step between angles [rad]
 * @param twist see `solveCoupled`
 */
export function sweepStall(
  task: Task,
  how: SweepCase = { kind: 'level' },
  step = 1 * DEG,
  twist?: Float64Array,
  from = FROM,
): StallSweep {
  const flows: CoupledFlow[] = [];
  // once a foreplane has let go, the nose drops: more lift is not flown
  const canards = task.design.surfaces.filter((q) => q.role === 'canard').map((q) => q.id);
  let start: Float64Array | undefined,
    cl = 0.3,
    falls = 0,
    clMax = -Infinity,
    alphaStall = from;
  for (let a = from; a <= TO + 1e-9; a += step) {
    const f = solveCoupled(task.coupled, task.sections, motionAt(task, how, a, cl), start, twist);
    flows.push(f);
    start = f.added;
    cl = f.CL;
    const stalled = Math.max(0, ...canards.map((id) => stalledShare(f, task, () => true, id)));
    if (f.status === 'settled' && f.CL > clMax && stalled < STALLED_SHARE) {
      clMax = f.CL;
      alphaStall = a;
      falls = 0;
    } else falls++;
    if (falls > 5 && stalledShare(f, task, () => true) > STALLED_SHARE) break;
  }
  const top = peakOf(flows, alphaStall, step);
  if (top) ({ clMax, alphaStall } = top);
  const first = firstStalls(flows);
  const wing = first.find((s) => s.surface === wingId(task));
  const ailerons = task.design.surfaces.flatMap((s) =>
    s.controls
      .filter((c) => ['aileron', 'elevon', 'flaperon'].includes(c.kind))
      .map((c) => ({ surface: s.id, from: c.from, to: c.to })),
  );
  let lost: number | null = null;
  if (ailerons.length > 0) {
    const under = (q: StripFlow) =>
      ailerons.some((c) => c.surface === q.surface && q.eta >= c.from && q.eta <= c.to);
    const gone = (f: CoupledFlow) =>
      Math.max(
        stalledShare(f, task, (q) => under(q) && q.side === 'right'),
        stalledShare(f, task, (q) => under(q) && q.side === 'left'),
      );
    let before = 0;
    for (let i = 0; i < flows.length && lost === null; i++) {
      const now = gone(flows[i]);
      // between the two angles, where the share passes a half
      if (now >= 0.5)
        lost =
          i === 0
            ? flows[i].alpha
            : flows[i - 1].alpha + ((flows[i].alpha - flows[i - 1].alpha) * (0.5 - before)) / (now - before);
      before = now;
    }
  }
  const end = flows[flows.length - 1].alpha;
  return {
    flows,
    clMax,
    alphaStall,
    first,
    aileronsLost: lost,
    aileronReserve: wing && ailerons.length > 0 ? (lost ?? end) - wing.alpha : null,
    rough: flows.some((f) => f.status !== 'settled'),
  };
}

/**
 * Top of the parabola through the best angle and its neighbours, so that it does not jump from step to step; null
 * where they did not settle.
 */
function peakOf(
  flows: readonly CoupledFlow[],
  best: number,
  step: number,
): { clMax: number; alphaStall: number } | null {
  const i = flows.findIndex((f) => Math.abs(f.alpha - best) < 1e-9),
    around = flows.slice(i - 1, i + 2);
  if (i < 1 || around.length < 3 || around.some((f) => f.status !== 'settled')) return null;
  const [a, b, c] = around.map((f) => f.CL);
  const bend = a - 2 * b + c;
  if (!(bend < 0 && b >= a && b >= c)) return null;
  const t = (0.5 * (a - c)) / bend;
  return { clMax: b - 0.25 * (a - c) * t, alphaStall: best + t * step };
}

function wingId(task: Task): string {
  return task.design.surfaces.find((s) => s.role === 'wing')!.id;
}

/** Stalled part of the span of a surface's picked strips. */
function stalledShare(
  f: CoupledFlow,
  task: Task,
  pick: (q: StripFlow) => boolean,
  of = wingId(task),
): number {
  const { at, sol } = task.coupled;
  let part = 0,
    all = 0;
  f.strips.forEach((q, i) => {
    if (q.surface !== of || !pick(q)) return;
    // right side, then left
    const { width } = sol.strips[at[i % at.length]];
    all += width;
    if (q.state === 'stalled') part += width;
  });
  return all > 0 ? part / all : 0;
}

function firstStalls(flows: readonly CoupledFlow[]): SurfaceStall[] {
  const out = new Map<string, SurfaceStall>();
  let before: CoupledFlow | null = null;
  for (const f of flows) {
    for (const id of new Set(f.strips.map((s) => s.surface))) {
      if (out.has(id)) continue;
      f.strips.forEach((s, i) => {
        if (s.surface !== id || s.state !== 'stalled') return;
        // between the two angles, where the margin runs out
        const was = before?.strips[i]?.margin ?? 0,
          alpha =
            before && was > 0 ? before.alpha + ((f.alpha - before.alpha) * was) / (was - s.margin) : f.alpha;
        const known = out.get(id);
        if (!known || alpha < known.alpha) out.set(id, { surface: id, alpha, eta: s.eta, side: s.side });
      });
    }
    before = f;
  }
  return [...out.values()].sort((a, b) => a.alpha - b.alpha);
}
