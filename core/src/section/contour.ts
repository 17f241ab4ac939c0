/**
 * Section contours. Points run from the trailing edge over the upper face to the nose and back
 * along the lower face, chord 1, nose at the origin. Flat array [x0, y0, x1, y1, ...].
 */
import { DomainError, interpolateLinear, splineCurvatures, splineValue } from '../numeric';

export interface Contour {
  /** flat [x0, y0, ...], upper trailing edge first */
  readonly xy: Float64Array;
}

export interface ContourFacts {
  /** largest thickness / chord */ thickness: number;
  thicknessAt: number;
  /** largest camber / chord, signed */ camber: number;
  camberAt: number;
  /** enclosed area / chord^2 */ area: number;
}

/**
 * NACA 4-digit section with a closed trailing edge.
 * @param digits four digits: camber %, its place in tenths, thickness %
 * @param n points, odd, 41 to 401
 * Source: Abbott and von Doenhoff, Theory of Wing Sections, eq. 6.2 and 6.4; the last thickness
 * coefficient is -0.1036 in place of -0.1015 to close the edge (common practice).
 */
export function naca4(digits: string, n = 161): Contour {
  if (!/^\d{4}$/.test(digits)) throw new DomainError('bad-shape', 'a NACA 4-digit name has four digits', { digits });
  const m = Number(digits[0]) / 100;
  const p = Number(digits[1]) / 10;
  const t = Number(digits.slice(2)) / 100;
  if (!(t >= 0.03 && t <= 0.3)) throw new DomainError('out-of-range', 'thickness must be 03 to 30 % of the chord', { digits });
  if (m > 0 && !(p >= 0.1)) throw new DomainError('out-of-range', 'a cambered section needs a place of camber of 1 to 9 tenths', { digits });
  const half = (n - 1) / 2;
  const xy = new Float64Array(2 * n);
  for (let i = 0; i < n; i++) {
    const upper = i <= half;
    const x = 0.5 * (1 + Math.cos((Math.PI * i) / half));
    const yt = 5 * t * (0.2969 * Math.sqrt(x) - 0.126 * x - 0.3516 * x * x + 0.2843 * x ** 3 - 0.1036 * x ** 4); // 6.2
    const fore = x < p;
    const yc = m === 0 ? 0 : fore ? (m / (p * p)) * (2 * p * x - x * x) : (m / (1 - p) ** 2) * (1 - 2 * p + 2 * p * x - x * x); // 6.4
    const slope = m === 0 ? 0 : ((2 * m) / (fore ? p * p : (1 - p) ** 2)) * (p - x);
    const th = Math.atan(slope);
    const s = upper ? 1 : -1;
    xy[2 * i] = x - s * yt * Math.sin(th);
    xy[2 * i + 1] = yc + s * yt * Math.cos(th);
  }
  return { xy };
}

/** Do two segments of the closed polygon cross? O(n^2), n up to 1000. */
function selfIntersects(p: readonly (readonly [number, number])[]): boolean {
  const side = (a: readonly number[], b: readonly number[], c: readonly number[]) => (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
  for (let i = 0; i < p.length - 1; i++) {
    for (let j = i + 2; j < p.length - 1; j++) {
      if (i === 0 && j === p.length - 2) continue;
      const d1 = side(p[i], p[i + 1], p[j]), d2 = side(p[i], p[i + 1], p[j + 1]);
      const d3 = side(p[j], p[j + 1], p[i]), d4 = side(p[j], p[j + 1], p[i + 1]);
      if (d1 * d2 < 0 && d3 * d4 < 0) return true;
    }
  }
  return false;
}

/**
 * Imported points made into a usable contour: duplicates dropped, order turned to upper-first,
 * scaled to chord 1 with the nose at the origin, an open trailing edge closed by a wedge, repanelled.
 * @throws DomainError `bad-shape` when it cannot be mended: fewer than 10 distinct points, or crossing itself
 */
export function contourFromPoints(points: readonly (readonly [number, number])[], n = 161): Contour {
  if (points.some((q) => !Number.isFinite(q[0]) || !Number.isFinite(q[1]))) throw new DomainError('not-finite', 'a point is not a number');
  let p = points.filter((q, i) => i === 0 || Math.abs(q[0] - points[i - 1][0]) + Math.abs(q[1] - points[i - 1][1]) > 1e-9);
  if (p.length < 10) throw new DomainError('bad-shape', 'a section needs at least 10 distinct points', { got: p.length });
  if (selfIntersects(p)) throw new DomainError('bad-shape', 'the outline crosses itself');
  const twiceArea = p.reduce((s, q, i) => { const r = p[(i + 1) % p.length]; return s + q[0] * r[1] - r[0] * q[1]; }, 0);
  if (!(Math.abs(twiceArea) > 1e-5)) throw new DomainError('bad-shape', 'the outline encloses no area');
  if (twiceArea < 0) p = [...p].reverse();
  const xs = p.map((q) => q[0]);
  const chord = Math.max(...xs) - Math.min(...xs);
  const nose = p.reduce((a, q) => (q[0] < a[0] ? q : a), p[0]);
  const te = 0.5 * (p[0][1] + p[p.length - 1][1]);
  const turn = Math.atan2(te - nose[1], chord);
  const c = Math.cos(-turn), s = Math.sin(-turn);
  const flat = p.map((q) => {
    const x = (q[0] - nose[0]) / chord, y = (q[1] - nose[1]) / chord;
    return [x * c - y * s, x * s + y * c] as [number, number];
  });
  const gapUpper = flat[0][1], gapLower = flat[flat.length - 1][1];
  const mid = 0.5 * (gapUpper + gapLower);
  const noseAt = flat.reduce((b, q, i) => (q[0] < flat[b][0] ? i : b), 0);
  const closed = flat.map((q, i) => [q[0], q[1] - Math.max(0, q[0]) * ((i <= noseAt ? gapUpper : gapLower) - mid)] as [number, number]);
  closed[0] = [1, mid];
  closed[closed.length - 1] = [1, mid];
  return repanel(closed, n);
}

/** Spline in arc length, nose at the middle point, points clustered at both edges (cosine in arc length on each face). */
function repanel(p: readonly (readonly [number, number])[], n: number): Contour {
  const s = new Float64Array(p.length);
  for (let i = 1; i < p.length; i++) s[i] = s[i - 1] + Math.max(1e-9, Math.hypot(p[i][0] - p[i - 1][0], p[i][1] - p[i - 1][1]));
  const xs = p.map((q) => q[0]), ys = p.map((q) => q[1]);
  const mx = splineCurvatures(s, xs), my = splineCurvatures(s, ys);
  const noseAt = xs.reduce((b, x, i) => (x < xs[b] ? i : b), 0);
  const sNose = s[noseAt], total = s[p.length - 1];
  const half = (n - 1) / 2;
  const xy = new Float64Array(2 * n);
  for (let i = 0; i < n; i++) {
    const f = 0.5 * (1 - Math.cos((Math.PI * (i <= half ? i : i - half)) / half));
    const at = i <= half ? f * sNose : sNose + f * (total - sNose);
    xy[2 * i] = splineValue(s, xs, mx, at);
    xy[2 * i + 1] = splineValue(s, ys, my, at);
  }
  return { xy };
}

/** Upper and lower ordinates against x, ascending in x. */
export function faces(contour: Contour): { x: number[]; y: number[] }[] {
  const n = contour.xy.length / 2;
  const nose = Array.from({ length: n }, (_, i) => i).reduce((b, i) => (contour.xy[2 * i] < contour.xy[2 * b] ? i : b), 0);
  const pick = (idx: number[]) => ({ x: idx.map((i) => contour.xy[2 * i]), y: idx.map((i) => contour.xy[2 * i + 1]) });
  return [pick(Array.from({ length: nose + 1 }, (_, i) => nose - i)), pick(Array.from({ length: n - nose }, (_, i) => nose + i))];
}

/** Camber line height at x (chord 1). */
export function camberAt(contour: Contour, x: number): number {
  const [u, l] = faces(contour);
  return 0.5 * (interpolateLinear(u.x, u.y, x) + interpolateLinear(l.x, l.y, x));
}

/** Thickness, camber and area, from the two faces on a fine grid. */
export function contourFacts(contour: Contour): ContourFacts {
  const [u, l] = faces(contour);
  const out: ContourFacts = { thickness: 0, thicknessAt: 0, camber: 0, camberAt: 0, area: 0 };
  const N = 200;
  for (let i = 0; i <= N; i++) {
    const x = i / N;
    const up = interpolateLinear(u.x, u.y, x), lo = interpolateLinear(l.x, l.y, x);
    if (up - lo > out.thickness) { out.thickness = up - lo; out.thicknessAt = x; }
    if (Math.abs(0.5 * (up + lo)) > Math.abs(out.camber)) { out.camber = 0.5 * (up + lo); out.camberAt = x; }
    out.area += ((up - lo) * (i === 0 || i === N ? 0.5 : 1)) / N;
  }
  return out;
}
