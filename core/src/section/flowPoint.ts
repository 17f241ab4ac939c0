/** What one solved flow says: coefficients, transition, bubble, separation; and everything along the surface. */
import type { FlowState, PreparedSection } from './prepared';
import { LAMINAR, TURBULENT, WAKE } from './closure';
import { stationFacts } from './layer';
import { forcesOf } from './panels';

export interface FlowPoint {
  /** [rad] */ alpha: number;
  cl: number;
  cd: number;
  /** about the quarter chord, nose up positive */ cm: number;
  /** transition, share of the chord */ transitionUpper: number;
  transitionLower: number;
  /** where the turbulent layer leaves for good, share of the chord; 1 when attached to the edge */
  separationUpper: number;
  separationLower: number;
  /** laminar separation bubble on the upper face: from, to; share of the chord */
  bubble: readonly [number, number] | null;
}

export interface SurfaceStation {
  x: number;
  y: number;
  cp: number;
  /** displacement and momentum thickness [chord] */ dstar: number;
  theta: number;
  cf: number;
  shape: number;
  state: 'laminar' | 'bubble' | 'turbulent' | 'separated';
}

/** One face from the stagnation point aft. */
function faceStations(
  prep: PreparedSection,
  s: FlowState,
  re: number,
  upper: boolean,
  mach = 0,
): SurfaceStation[] {
  const { xy } = prep.basis.contour;
  const out: SurfaceStation[] = [];
  const beta = Math.sqrt(1 - mach * mach),
    kt = (mach * mach) / (1 + beta) / 2;
  for (let i = upper ? s.stagnation - 1 : s.stagnation; upper ? i >= 0 : i < prep.n; i += upper ? -1 : 1) {
    const f = stationFacts(
      s.turbulent[i] ? TURBULENT : LAMINAR,
      { c: s.c[i], theta: s.theta[i], dstar: s.dstar[i], ue: s.ue[i], x: 1 },
      re,
    );
    const cp = 1 - s.ue[i] ** 2;
    out.push({
      x: xy[2 * i],
      y: xy[2 * i + 1],
      cp: mach > 0 ? cp / (beta + kt * cp) : cp,
      dstar: s.dstar[i],
      theta: s.theta[i],
      cf: f.cf,
      shape: f.h,
      state: s.turbulent[i] ? (f.cf <= 0 ? 'separated' : 'turbulent') : f.cf < 0 ? 'bubble' : 'laminar',
    });
  }
  // the turbulent part of a bubble, up to where it reattaches
  let inside = false;
  for (const p of out) {
    if (p.state === 'bubble') inside = true;
    else if (inside && p.state === 'separated') p.state = 'bubble';
    else if (p.state === 'turbulent') inside = false;
  }
  // a bubble that never closes is separation
  if (out.length > 0 && out[out.length - 1].state === 'bubble')
    for (let i = out.length - 1; i >= 0 && out[i].state === 'bubble'; i--) out[i].state = 'separated';
  return out;
}

/** Crossing of a station property, share of the chord. */
function edges(list: readonly SurfaceStation[]): { bubble: [number, number] | null; separation: number } {
  let from = -1,
    to = -1,
    separation = 1;
  list.forEach((p, i) => {
    if (p.state === 'bubble') {
      if (from < 0) from = i;
      to = i;
    }
  });
  for (let i = list.length - 1; i > 0 && list[i].state === 'separated'; i--) separation = list[i].x;
  const cross = (i: number): number => {
    const a = list[i],
      b = list[i + 1];
    if (!a || !b || a.cf === b.cf) return (a ?? b).x;
    const t = Math.min(1, Math.max(0, a.cf / (a.cf - b.cf)));
    return a.x + t * (b.x - a.x);
  };
  return { bubble: from < 0 || to - from < 1 ? null : [cross(from - 1), cross(to)], separation };
}

/** x / c at an arc length from the stagnation point. */
function chordAt(prep: PreparedSection, s: FlowState, arc: number, upper: boolean): number {
  const { basis, n } = prep;
  const at = upper ? s.stagnationArc - arc : s.stagnationArc + arc;
  let i = 0;
  while (i < n - 2 && basis.arc[i + 1] < at) i++;
  const t = Math.min(1, Math.max(0, (at - basis.arc[i]) / (basis.arc[i + 1] - basis.arc[i])));
  const x = basis.contour.xy[2 * i] * (1 - t) + basis.contour.xy[2 * i + 2] * t;
  return Math.min(1, Math.max(0, x));
}

/** Surface speed in contour order, positive aft on the upper face. */
function surfaceSpeed(prep: PreparedSection, s: FlowState): Float64Array {
  return Float64Array.from({ length: prep.n }, (_, i) => (i < s.stagnation ? s.ue[i] : -s.ue[i]));
}

/** Coefficients of a solved point. Drag from the wake by Squire and Young, ARC R&M 1838, 1937. */
export function pointOf(prep: PreparedSection, s: FlowState, re: number, mach = 0): FlowPoint {
  const f = forcesOf(prep.basis.contour, surfaceSpeed(prep, s), s.alpha, mach);
  const e = prep.N - 1;
  const h = s.dstar[e] / s.theta[e];
  const up = edges(faceStations(prep, s, re, true)),
    low = edges(faceStations(prep, s, re, false));
  return {
    alpha: s.alpha,
    cl: f.cl,
    cd: 2 * s.theta[e] * s.ue[e] ** (0.5 * (5 + h)),
    cm: f.cm,
    transitionUpper: chordAt(prep, s, s.transition[0], true),
    transitionLower: chordAt(prep, s, s.transition[1], false),
    separationUpper: up.separation,
    separationLower: low.separation,
    bubble: up.bubble,
  };
}

export interface FlowPicture {
  readonly point: FlowPoint;
  readonly upper: readonly SurfaceStation[];
  readonly lower: readonly SurfaceStation[];
  readonly wake: readonly { x: number; y: number; dstar: number; theta: number; shape: number }[];
}

/** Everything along the surface and the wake at one point. */
export function flowPicture(prep: PreparedSection, s: FlowState, re: number, mach = 0): FlowPicture {
  const wake = Array.from({ length: prep.nw }, (_, k) => {
    const i = prep.n + k;
    const f = stationFacts(WAKE, { c: s.c[i], theta: s.theta[i], dstar: s.dstar[i], ue: s.ue[i], x: 1 }, re);
    return {
      x: s.wake!.xy[2 * k],
      y: s.wake!.xy[2 * k + 1],
      dstar: s.dstar[i],
      theta: s.theta[i],
      shape: f.h,
    };
  });
  return {
    point: pointOf(prep, s, re, mach),
    upper: faceStations(prep, s, re, true, mach),
    lower: faceStations(prep, s, re, false, mach),
    wake,
  };
}
