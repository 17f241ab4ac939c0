/**
 * Forces and moments of a lattice in any small steady motion, near the vortices: F = rho Gamma V x l on every bound
 * vortex and on the parts of the legs inside the chord, V with the stream, the rates and what all vortices induce.
 * Source: Katz and Plotkin, Low-Speed Aerodynamics, 12.1. Inside the chord the legs lie along x and carry load in a sideslip
 * (the dihedral effect that grows with lift); beyond the trailing edge they go with the wind and carry none.
 * Signs in the answer: CL up, CY to the right, Cl right wing down, Cm nose up, Cn nose right; rates per metre (rate / V).
 */
import { stripSums, type AntisymmetricColumn, type LatticeSolution, type SymmetricColumn } from './lattice';

/** A motion; angles [rad], rates over speed [1/m], about the axes of the design (x aft, z up) but named as pilots do. */
export interface Motion {
  alpha: number;
  /** wind from the right is positive */ beta?: number;
  p?: number;
  q?: number;
  r?: number;
  elevator?: number;
  flap?: number;
  /** ailerons down together */ droop?: number;
  aileron?: number;
  rudder?: number;
  /** moment point [m] */ x: number;
  z: number;
}

export interface Forces {
  CL: number;
  CY: number;
  CX: number;
  CZ: number;
  Cl: number;
  Cm: number;
  Cn: number;
}

/** Panel strengths of the two flows. */
export function strengths(
  sol: LatticeSolution,
  m: Motion,
): { symmetric: Float64Array; antisymmetric: Float64Array } {
  const { model } = sol;
  const shift = sol.refX - m.x;
  const q = m.q ?? 0,
    p = m.p ?? 0,
    r = m.r ?? 0;
  const sym: Partial<Record<SymmetricColumn, number>> = {
    shape: 1,
    alpha: m.alpha + q * shift,
    q,
    elevator: m.elevator ?? 0,
    flap: m.flap ?? 0,
    droop: m.droop ?? 0,
  };
  const anti: Partial<Record<AntisymmetricColumn, number>> = {
    beta: (m.beta ?? 0) - m.z * p - shift * r,
    p,
    r,
    aileron: m.aileron ?? 0,
    rudder: m.rudder ?? 0,
  };
  const mix = (
    columns: Readonly<Record<string, Float64Array>>,
    weights: Record<string, number>,
    n: number,
  ) => {
    const g = new Float64Array(n);
    for (const [k, w] of Object.entries(weights))
      if (w !== 0) {
        const c = columns[k];
        for (let i = 0; i < n; i++) g[i] += w * c[i];
      }
    return g;
  };
  // the columns of a flow that nothing turns to either side are not asked for
  const turns = Object.values(anti).some((w) => w !== 0);
  const antisymmetric = turns
    ? mix(model.antisymmetric, anti as Record<string, number>, model.panels.length)
    : new Float64Array(model.panels.length);
  if (m.beta) {
    const turned = mix(model.turned, sym as Record<string, number>, model.panels.length);
    for (let i = 0; i < turned.length; i++) antisymmetric[i] += m.beta * turned[i];
  }
  return { symmetric: mix(model.symmetric, sym as Record<string, number>, model.pairs), antisymmetric };
}

/** What the vortices induce at the bound vortices: x, y, z of the symmetric and the antisymmetric part. */
function induced(wash: readonly Float64Array[], g: Float64Array): Float64Array[] {
  const n = g.length;
  return wash.map((w) => {
    const v = new Float64Array(n);
    for (let i = 0; i < n; i++) {
      let s = 0;
      const row = i * n;
      for (let j = 0; j < n; j++) s += w[row + j] * g[j];
      v[i] = s;
    }
    return v;
  });
}

/** Forces of a motion. @param given strengths instead of those of the motion (after decambering) */
export function forcesOf(sol: LatticeSolution, m: Motion, given = strengths(sol, m)): Forces {
  const { model } = sol;
  const { panels, pairs } = model;
  const gs = given.symmetric,
    ga = given.antisymmetric;
  const ws = induced(model.boundWash.symmetric, gs),
    // without a turn to either side nothing is induced by it
    wa = ga.some((v) => v !== 0) ? induced(model.boundWash.antisymmetric, ga) : [ga, ga, ga];
  const ca = Math.cos(m.alpha),
    sa = Math.sin(m.alpha),
    p = m.p ?? 0,
    q = m.q ?? 0,
    r = m.r ?? 0;
  const vBeta = -Math.sin(m.beta ?? 0);
  let fx = 0,
    fy = 0,
    fz = 0,
    mx = 0,
    my = 0,
    mz = 0;
  const add = (
    g: number,
    x: number,
    y: number,
    z: number,
    lx: number,
    ly: number,
    lz: number,
    ux: number,
    uy: number,
    uz: number,
  ) => {
    // -omega x r with omega = (-p, q, -r) in the design's axes
    const vx = ca - q * z - r * y + ux,
      vy = vBeta + r * x - p * z + uy,
      vz = sa + p * y + q * x + uz;
    const Fx = 2 * g * (vy * lz - vz * ly),
      Fy = 2 * g * (vz * lx - vx * lz),
      Fz = 2 * g * (vx * ly - vy * lx);
    fx += Fx;
    fy += Fy;
    fz += Fz;
    mx += y * Fz - z * Fy;
    my += z * Fx - x * Fz;
    mz += x * Fy - y * Fx;
  };
  for (let i = 0; i < panels.length; i++) {
    const b = panels[i];
    const x = 0.5 * (b.xa + b.xb) - m.x,
      y = 0.5 * (b.ya + b.yb),
      z = 0.5 * (b.za + b.zb) - m.z;
    const lx = b.xb - b.xa,
      ly = b.yb - b.ya,
      lz = b.zb - b.za;
    const s = i < pairs,
      gS = s ? gs[i] : 0;
    const sx = s ? ws[0][i] : 0,
      sy = s ? ws[1][i] : 0,
      sz = s ? ws[2][i] : 0;
    const legA = { x: 0.5 * (b.xa + b.xta) - m.x, l: b.xa - b.xta },
      legB = { x: 0.5 * (b.xb + b.xtb) - m.x, l: b.xtb - b.xb };
    const whole = (g: number, side: 1 | -1, ux: number, uy: number, uz: number) => {
      add(g, x, side * y, z, side * lx, ly, side * lz, ux, uy, uz);
      // on the left the vortex runs from the outer end in
      add(g, legA.x, side * b.ya, b.za - m.z, side * legA.l, 0, 0, ux, uy, uz);
      add(g, legB.x, side * b.yb, b.zb - m.z, side * legB.l, 0, 0, ux, uy, uz);
    };
    // in the middle the symmetric flow has no sideways part and only the antisymmetric one loads a fin
    whole(gS + ga[i], 1, sx + wa[0][i], sy + wa[1][i], sz + wa[2][i]);
    if (s) whole(gS - ga[i], -1, sx - wa[0][i], -sy + wa[1][i], sz - wa[2][i]);
  }
  const S = sol.refArea,
    c = sol.refChord,
    b = sol.refSpan;
  return {
    CX: fx / S,
    CY: fy / S,
    CZ: fz / S,
    CL: (fz * ca - fx * sa) / S,
    Cl: -mx / (S * b),
    Cm: my / (S * c),
    Cn: -mz / (S * b),
  };
}

/** Lift of each surface as a share of the whole, by surface id. */
export function liftShares(sol: LatticeSolution, alpha: number, elevator: number): Record<string, number> {
  const g = stripSums(
    sol.model,
    sol.strips.length,
    strengths(sol, { alpha, elevator, x: sol.refX, z: 0 }).symmetric,
  );
  const out: Record<string, number> = {};
  let all = 0;
  sol.strips.forEach((s, i) => {
    const l = s.mirrored ? g[i] * s.dy : 0;
    out[s.surface] = (out[s.surface] ?? 0) + l;
    all += l;
  });
  for (const k of Object.keys(out)) out[k] /= all || 1;
  return out;
}
