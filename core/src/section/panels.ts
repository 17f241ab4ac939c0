/**
 * Inviscid flow about a section by linear-strength vortex panels, streamfunction constant on the surface.
 * Unknowns: gamma at the n nodes and the streamfunction; Kutta: gamma_1 + gamma_n = 0. For a closed
 * trailing edge the first and last nodes coincide, so the last surface equation is replaced by one that
 * extrapolates the mean surface strength to the edge.
 * Formulation: Drela, in Low Reynolds Number Aerodynamics, Springer 1989, eq. 4 to 9 (from memory; the
 * integrals are derived in `panelIntegrals`). gamma > 0 is clockwise; the surface speed is gamma.
 */
import { factorise } from '../numeric';
import type { Contour } from './contour';

export interface InviscidBasis {
  readonly contour: Contour;
  /** surface speed at nodes for unit stream at 0 and 90 degrees, n each */
  readonly at0: Float64Array;
  readonly at90: Float64Array;
  /** arc length at nodes [chord], n */
  readonly arc: Float64Array;
}

/** (1/2) sum and difference integrals of ln r over one panel: weights of gamma at its two ends, times 2 pi. */
function panelIntegrals(px: number, py: number, ax: number, ay: number, bx: number, by: number): [number, number] {
  const dx = bx - ax, dy = by - ay;
  const L = Math.sqrt(dx * dx + dy * dy);
  if (L < 1e-14) return [0, 0];
  const tx = dx / L, ty = dy / L;
  const x1 = (px - ax) * tx + (py - ay) * ty;
  const x2 = x1 - L;
  const y = (py - ay) * tx - (px - ax) * ty;
  const q1 = x1 * x1 + y * y, q2 = x2 * x2 + y * y;
  const l1 = q1 > 1e-24 ? 0.5 * Math.log(q1) : 0;
  const l2 = q2 > 1e-24 ? 0.5 * Math.log(q2) : 0;
  const turn = Math.abs(y) < 1e-13 ? 0 : y * (Math.atan(x1 / y) - Math.atan(x2 / y));
  const plus = x1 * l1 - x2 * l2 + x2 - x1 + turn;
  const minus = ((x1 + x2) * plus + q2 * l2 - q1 * l1 + 0.5 * (x1 * x1 - x2 * x2)) / L;
  return [0.5 * (plus - minus), 0.5 * (plus + minus)];
}

/** Solves the two basic flows about a contour of n points; cost one LU of size n + 1. */
export function solveInviscid(contour: Contour): InviscidBasis {
  const { xy } = contour;
  const n = xy.length / 2;
  const rows: Float64Array[] = [];
  const b0 = new Float64Array(n + 1), b90 = new Float64Array(n + 1);
  for (let i = 0; i < n - 1; i++) {
    const row = new Float64Array(n + 1);
    const x = xy[2 * i], y = xy[2 * i + 1];
    for (let j = 0; j < n - 1; j++) {
      const [wa, wb] = panelIntegrals(x, y, xy[2 * j], xy[2 * j + 1], xy[2 * j + 2], xy[2 * j + 3]);
      row[j] += wa / (2 * Math.PI);
      row[j + 1] += wb / (2 * Math.PI);
    }
    row[n] = -1;
    rows.push(row);
    b0[i] = -y;
    b90[i] = x;
  }
  const edge = new Float64Array(n + 1);
  edge[0] = 1; edge[1] = -2; edge[2] = 1;
  edge[n - 1] = -1; edge[n - 2] = 2; edge[n - 3] = -1;
  const kutta = new Float64Array(n + 1);
  kutta[0] = 1; kutta[n - 1] = 1;
  rows.push(edge, kutta);
  const lu = factorise(rows);
  const arc = new Float64Array(n);
  for (let i = 1; i < n; i++) arc[i] = arc[i - 1] + Math.hypot(xy[2 * i] - xy[2 * i - 2], xy[2 * i + 1] - xy[2 * i - 1]);
  return { contour, at0: lu.solve(b0).slice(0, n), at90: lu.solve(b90).slice(0, n), arc };
}

export interface InviscidPoint {
  /** surface speed / stream; positive towards the nose along the upper face is negative flow */
  readonly speed: Float64Array;
  readonly cl: number;
  /** about the quarter chord, nose up positive */
  readonly cm: number;
}

/** The flow at one angle [rad], by superposition. */
export function inviscidAt(basis: InviscidBasis, alpha: number): InviscidPoint {
  const { xy } = basis.contour;
  const n = xy.length / 2;
  const c = Math.cos(alpha), s = Math.sin(alpha);
  const speed = new Float64Array(n);
  for (let i = 0; i < n; i++) speed[i] = c * basis.at0[i] + s * basis.at90[i];
  let cl = 0, cm = 0;
  for (let i = 0; i < n - 1; i++) {
    const dx = (xy[2 * i + 2] - xy[2 * i]), dy = (xy[2 * i + 3] - xy[2 * i + 1]);
    const cp = 1 - 0.5 * (speed[i] ** 2 + speed[i + 1] ** 2);
    const dxw = dx * c + dy * s;
    cl += cp * dxw;
    const mx = 0.5 * (xy[2 * i] + xy[2 * i + 2]) - 0.25, my = 0.5 * (xy[2 * i + 1] + xy[2 * i + 3]);
    cm -= cp * (mx * dx + my * dy);
  }
  return { speed, cl, cm };
}
