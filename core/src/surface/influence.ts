/**
 * What a horseshoe of unit strength does at every control point and every bound vortex, for the symmetric and the
 * antisymmetric flow; and how that changes when the wake goes with a wind from the side.
 */
import { luInPlace, luSolveInPlace } from '../numeric';
import { addHorseshoe } from './horseshoe';
import type { Grid, Panel } from './panels';
import { CORE_SHARE } from './trefftz';

/** Both sides alike, or opposite: every flow falls into the two. */
export type Flow = 'symmetric' | 'antisymmetric';

/** Velocity at a point of panel p by strength one on panel q: itself, and its image on the left. */
interface Induced {
  readonly near: Float64Array;
  readonly far: Float64Array;
  at(p: Panel, q: Panel, x: number, y: number, z: number): void;
}

function inducedBy(ground: number | null, matched: Grid['matched']): Induced {
  const near = new Float64Array(3),
    far = new Float64Array(3);
  const at = (p: Panel, q: Panel, x: number, y: number, z: number) => {
    near.fill(0);
    far.fill(0);
    const core2 = matched[p.surface][q.surface]
      ? 0
      : (CORE_SHARE * ((q.yb - q.ya) * q.nz - (q.zb - q.za) * q.ny)) ** 2;
    addHorseshoe(near, 1, core2, x, y, z, q.xa, q.ya, q.za, q.xb, q.yb, q.zb);
    if (q.mirrored) addHorseshoe(far, 1, core2, x, y, z, q.xb, -q.yb, q.zb, q.xa, -q.ya, q.za);
    if (ground === null) return;
    const d = -2 * ground;
    addHorseshoe(near, -1, core2, x, y, z, q.xa, q.ya, d - q.za, q.xb, q.yb, d - q.zb);
    if (q.mirrored) addHorseshoe(far, -1, core2, x, y, z, q.xb, -q.yb, d - q.zb, q.xa, -q.ya, d - q.za);
  };
  return { near, far, at };
}

/** How the image on the left counts in a flow, and how many panels take part in it. */
const sided = (flow: Flow, panels: readonly Panel[], pairs: number) =>
  flow === 'symmetric' ? { n: pairs, sign: 1 } : { n: panels.length, sign: -1 };

/**
 * Influence of panels on control points in one flow: n x n, row after row, of the pairs in the symmetric one, of all in the
 * other. Level flight needs none of the antisymmetric one: each is made when it is asked for.
 */
export function normalWash(
  flow: Flow,
  panels: readonly Panel[],
  pairs: number,
  ground: number | null,
  matched: Grid['matched'],
): Float64Array {
  const { n, sign } = sided(flow, panels, pairs),
    out = new Float64Array(n * n),
    { near, far, at } = inducedBy(ground, matched);
  for (let i = 0; i < n; i++) {
    const p = panels[i];
    for (let j = 0; j < n; j++) {
      at(p, panels[j], p.xc, p.yc, p.zc);
      out[i * n + j] = near[1] * p.ny + near[2] * p.nz + sign * (far[1] * p.ny + far[2] * p.nz);
    }
  }
  return out;
}

/** Influence of panels on bound vortices in one flow: x, y, z, each n x n. */
export function boundWash(
  flow: Flow,
  panels: readonly Panel[],
  pairs: number,
  ground: number | null,
  matched: Grid['matched'],
): readonly Float64Array[] {
  const { n, sign } = sided(flow, panels, pairs),
    out = [0, 1, 2].map(() => new Float64Array(n * n)),
    { near, far, at } = inducedBy(ground, matched);
  for (let i = 0; i < n; i++) {
    const p = panels[i],
      x = 0.5 * (p.xa + p.xb),
      y = 0.5 * (p.ya + p.yb),
      z = 0.5 * (p.za + p.zb);
    for (let j = 0; j < n; j++) {
      at(p, panels[j], x, y, z);
      for (let k = 0; k < 3; k++) out[k][i * n + j] = near[k] + sign * far[k];
    }
  }
  return out;
}

/** Strengths from the wash at the control points. @throws DomainError `singular` when two surfaces lie in each other */
export function solver(a: Float64Array, n: number): (wash: Float64Array) => Float64Array {
  if (n === 0) return () => new Float64Array(0);
  const order = luInPlace(a, n);
  return (wash) => {
    const g = wash.map((w) => -w);
    luSolveInPlace(a, order, g);
    return g;
  };
}

/**
 * Change of normal wash with sideslip [1/rad] by the turned wake of a leg of unit strength that leaves
 * (x, y, z) aft. Along d: v = d x r / (4 pi r (r - r.d)), differentiated at d = (1, 0, 0)
 * by the wind's (0, -1, 0). Source: Biot and Savart's law for a half line, Katz and Plotkin 2.73.
 */
function turnedLeg(p: Panel, q: Panel, x: number, y: number, z: number): number {
  const rx = p.xc - x,
    ry = p.yc - y,
    rz = p.zc - z;
  if (rx >= 0 && p.surface !== q.surface) return 0;
  const r = Math.sqrt(rx * rx + ry * ry + rz * rz),
    gap = r - rx;
  const vy = (rz * ry) / (r * gap * gap),
    vz = rx / (r * gap) - (ry * ry) / (r * gap * gap);
  return (vy * p.ny + vz * p.nz) / (4 * Math.PI);
}

/**
 * Antisymmetric wash per rad of sideslip by strengths that are alike on both sides, because beyond the trailing
 * edge the legs go with the wind. Another surface behind the start of a leg (a tail, a fin) is told nothing of its turning:
 * there the shift of a wake by its distance times the sideslip is small against its span.
 * @param g strengths of the right half, pairs
 */
export function turnedWake(panels: readonly Panel[], pairs: number, g: Float64Array): Float64Array {
  return Float64Array.from(panels, (p) => {
    let w = 0;
    for (let j = 0; j < pairs; j++) {
      const q = panels[j];
      w +=
        g[j] *
        (turnedLeg(p, q, q.xtb, q.yb, q.zb) -
          turnedLeg(p, q, q.xta, q.ya, q.za) +
          turnedLeg(p, q, q.xta, -q.ya, q.za) -
          turnedLeg(p, q, q.xtb, -q.yb, q.zb));
    }
    return w;
  });
}
