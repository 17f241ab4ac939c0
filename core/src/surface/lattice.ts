/**
 * Vortex lattice for symmetric flow over wings and tails: horseshoes on the quarter line of each
 * panel, flow tangent at three quarters, wake straight aft. Small angles: the answer is linear in the
 * angle of attack, the built-in shape (camber, twist, incidence) and each symmetric control.
 * Induced drag in the Trefftz plane. Source: Katz and Plotkin, Low-Speed Aerodynamics, 2nd ed.,
 * sections 12.1 and 12.2. Stream along +x, unit speed; strengths are divided by V.
 */
import { factorise } from '../numeric';
import { camberAt, type Contour } from '../section';
import type { Design, Surface } from '../design';
import { planformOf, stationAt } from './planform';

export interface Strip {
  surface: string;
  role: Surface['role'];
  /** control place, at the middle of the cosine step (Lan's spacing); the strip runs from `inner` over `width` [m] */
  y: number;
  inner: number;
  width: number;
  chord: number;
  /** bound-vortex weighted quarter chord of the strip [m] */ xQuarter: number;
  z: number;
  section: string;
}

export interface LatticeSolution {
  readonly strips: readonly Strip[];
  readonly refArea: number;
  readonly refChord: number;
  /** quarter chord of the mean chord: moment point of the solution [m] */
  readonly refX: number;
  /** strength/V of each strip [m] for: shape (alpha 0), one rad of alpha, one rad of elevator */
  readonly shape: Float64Array;
  readonly alpha: Float64Array;
  readonly elevator: Float64Array;
  readonly coefficients: { cl0: number; clAlpha: number; clElevator: number; cm0: number; cmAlpha: number; cmElevator: number };
  /** Trefftz-plane drag: cdi = sum over pairs of w_ij g_i g_j, g strengths [m] */
  readonly wake: Float64Array[];
}

interface Panel { xa: number; ya: number; za: number; xb: number; yb: number; zb: number; xc: number; yc: number; zc: number; ny: number; nz: number; slope: number; control: number; strip: number; surface: string }

/**
 * Velocity of a unit horseshoe (bound a to b, legs to x = +infinity) at p. Katz and Plotkin 12.2 in closed form.
 * `core2` is the square of a vortex core [m2]: 0 within one surface; between surfaces the width of the shedding
 * strip, so that a leg that happens to pass a tail's control point does not blow it off (measured: without it
 * a tail in the plane of the wing doubled its lift from one grid to the next).
 */
export function horseshoe(out: Float64Array, core2: number, px: number, py: number, pz: number, ax: number, ay: number, az: number, bx: number, by: number, bz: number): void {
  const k = 1 / (4 * Math.PI);
  const r1x = px - ax, r1y = py - ay, r1z = pz - az;
  const r2x = px - bx, r2y = py - by, r2z = pz - bz;
  const r1 = Math.sqrt(r1x * r1x + r1y * r1y + r1z * r1z), r2 = Math.sqrt(r2x * r2x + r2y * r2y + r2z * r2z);
  const cx = r1y * r2z - r1z * r2y, cy = r1z * r2x - r1x * r2z, cz = r1x * r2y - r1y * r2x;
  const cc = cx * cx + cy * cy + cz * cz;
  out[0] = 0; out[1] = 0; out[2] = 0;
  const lx = bx - ax, ly = by - ay, lz = bz - az;
  if (cc > 1e-14 * (lx * lx + ly * ly + lz * lz)) {
    const f = (k / cc) * (lx * (r1x / r1 - r2x / r2) + ly * (r1y / r1 - r2y / r2) + lz * (r1z / r1 - r2z / r2));
    out[0] += f * cx; out[1] += f * cy; out[2] += f * cz;
  }
  const d1 = r1y * r1y + r1z * r1z + core2, d2 = r2y * r2y + r2z * r2z + core2;
  if (d1 > 1e-14) { const f = (-k / d1) * (1 + r1x / r1); out[1] += f * -r1z; out[2] += f * r1y; }
  if (d2 > 1e-14) { const f = (k / d2) * (1 + r2x / r2); out[1] += f * -r2z; out[2] += f * r2y; }
}

/** Strips per half surface and rows along the chord. Compared: doubling both moves CL slope by under 1 %, the neutral point by under 0.5 % of the chord. */
const SPAN_STRIPS = { wing: 16, tail: 8, fin: 0 } as const;
const CHORD_ROWS = { wing: 4, tail: 3, fin: 0 } as const;

function panelsOf(surface: Surface, contours: ReadonlyMap<string, Contour>, refine: number, strips: Strip[]): Panel[] {
  const spanStrips = SPAN_STRIPS[surface.role] * refine, rows = CHORD_ROWS[surface.role] * refine;
  const half = surface.stations[surface.stations.length - 1].y;
  const elevator = surface.controls.find((c) => c.kind === 'elevator');
  const out: Panel[] = [];
  for (let j = 0; j < spanStrips; j++) {
    const edge = (k: number) => half * Math.sin((0.5 * Math.PI * k) / spanStrips);
    const ya = edge(j), yb = edge(j + 1), ym = edge(j + 0.5);
    const a = stationAt(surface, ya), b = stationAt(surface, yb), m = stationAt(surface, ym);
    const dy = yb - ya, dz = b.z - a.z, len = Math.hypot(dy, dz);
    const eta = ym / half;
    strips.push({ surface: surface.id, role: surface.role, y: ym, inner: ya, width: dy, chord: m.chord, xQuarter: surface.x + m.x + 0.25 * m.chord, z: surface.z + m.z, section: m.section });
    const contour = contours.get(m.section);
    const hinged = elevator && eta >= elevator.from && eta <= elevator.to ? 1 - elevator.chordFraction : 2;
    for (let i = 0; i < rows; i++) {
      const fq = (i + 0.25) / rows, fc = (i + 0.75) / rows;
      const camber = contour ? (camberAt(contour, Math.min(1, fc + 0.01)) - camberAt(contour, Math.max(0, fc - 0.01))) / (Math.min(1, fc + 0.01) - Math.max(0, fc - 0.01)) : 0;
      const lo = i / rows, hi = (i + 1) / rows;
      const hingeShare = Math.max(0, Math.min(1, (hi - Math.max(lo, hinged)) / (hi - lo)));
      out.push({
        xa: surface.x + a.x + fq * a.chord, ya, za: surface.z + a.z,
        xb: surface.x + b.x + fq * b.chord, yb, zb: surface.z + b.z,
        xc: surface.x + m.x + fc * m.chord, yc: ym, zc: surface.z + m.z,
        ny: -dz / len, nz: dy / len,
        slope: m.twist + surface.incidence - camber,
        control: hingeShare,
        strip: strips.length - 1,
        surface: surface.id,
      });
    }
  }
  return out;
}

/**
 * Solves the lattice of all wings and tails of a design, both halves by mirror.
 * @param refine multiplies strips and rows (1 for work, 2 or 3 for convergence checks)
 */
export function solveLattice(design: Pick<Design, 'surfaces'>, contours: ReadonlyMap<string, Contour>, refine = 1): LatticeSolution {
  const strips: Strip[] = [];
  const panels = design.surfaces.filter((s) => s.role !== 'fin').flatMap((s) => panelsOf(s, contours, refine, strips));
  const wing = planformOf(design.surfaces.find((s) => s.role === 'wing')!);
  const n = panels.length;
  const v = new Float64Array(3), w = new Float64Array(3);
  const rows = panels.map((p) => {
    const row = new Float64Array(n);
    panels.forEach((q, j) => {
      const core2 = p.surface === q.surface ? 0 : (0.35 * (q.yb - q.ya)) ** 2;
      horseshoe(v, core2, p.xc, p.yc, p.zc, q.xa, q.ya, q.za, q.xb, q.yb, q.zb);
      horseshoe(w, core2, p.xc, p.yc, p.zc, q.xb, -q.yb, q.zb, q.xa, -q.ya, q.za);
      row[j] = (v[1] + w[1]) * p.ny + (v[2] + w[2]) * p.nz;
    });
    return row;
  });
  const lu = factorise(rows);
  const solve = (f: (p: Panel) => number) => lu.solve(panels.map((p) => -f(p) * p.nz));
  const columns = [solve((p) => p.slope), solve(() => 1), solve((p) => p.control)];
  const refX = wing.macX + 0.25 * wing.mac;
  const sums = columns.map((g) => {
    const strip = new Float64Array(strips.length);
    let cl = 0, cm = 0;
    panels.forEach((p, i) => {
      strip[p.strip] += g[i];
      const lift = (2 * g[i] * 2 * (p.yb - p.ya)) / wing.area;
      cl += lift;
      cm -= (lift * (0.5 * (p.xa + p.xb) - refX)) / wing.mac;
    });
    return { strip, cl, cm };
  });
  const [s0, sa, se] = sums;
  return {
    strips, refArea: wing.area, refChord: wing.mac, refX,
    shape: s0.strip, alpha: sa.strip, elevator: se.strip,
    coefficients: { cl0: s0.cl, clAlpha: sa.cl, clElevator: se.cl, cm0: s0.cm, cmAlpha: sa.cm, cmElevator: se.cm },
    wake: trefftz(strips, design.surfaces, wing.area),
  };
}

/** Pair weights of the Trefftz-plane integral, both halves. Katz and Plotkin 8.146 in discrete form. */
function trefftz(strips: readonly Strip[], surfaces: readonly Surface[], area: number): Float64Array[] {
  const bySurface = new Map(surfaces.map((s) => [s.id, s]));
  const ends = strips.map((s) => {
    const surf = bySurface.get(s.surface)!;
    const ya = s.inner, yb = s.inner + s.width;
    return { ya, yb, za: surf.z + stationAt(surf, ya).z, zb: surf.z + stationAt(surf, yb).z };
  });
  return strips.map((p, i) => {
    const e = ends[i];
    const len = Math.hypot(e.yb - e.ya, e.zb - e.za);
    const ny = -(e.zb - e.za) / len, nz = (e.yb - e.ya) / len;
    const row = new Float64Array(strips.length);
    const wash = (y0: number, z0: number, sign: number, core2: number) => {
      const t = (p.y - e.ya) / (e.yb - e.ya);
      const dy = p.y - y0, dz = e.za + t * (e.zb - e.za) - z0;
      const d = Math.max(dy * dy + dz * dz + core2, 1e-12);
      return (sign / (2 * Math.PI * d)) * (dy * nz - dz * ny);
    };
    strips.forEach((q, j) => {
      const f = ends[j];
      const core2 = q.surface === p.surface ? 0 : q.width ** 2;
      const w = wash(f.ya, f.za, 1, core2) + wash(f.yb, f.zb, -1, core2) + wash(-f.yb, f.zb, 1, core2) + wash(-f.ya, f.za, -1, core2);
      row[j] = (2 * w * len) / area;
    });
    return row;
  });
}

/** Strip strengths/V [m] at an angle of attack and elevator deflection [rad]. */
export function stripStrengths(sol: LatticeSolution, alpha: number, elevator: number): Float64Array {
  return sol.shape.map((s, i) => s + alpha * sol.alpha[i] + elevator * sol.elevator[i]);
}

/** Induced drag coefficient of the whole system for given strengths. */
export function inducedDrag(sol: LatticeSolution, g: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < g.length; i++) {
    const row = sol.wake[i];
    let w = 0;
    for (let j = 0; j < g.length; j++) w += row[j] * g[j];
    sum += g[i] * w;
  }
  return sum;
}
