/**
 * Listed points made into a contour. A file whose trailing edge and nose stand where they should keeps its axes: the
 * nose of a cambered section is not its point of least x, and turning by that point takes camber away. Anything else is
 * turned to the chord line proper, from the trailing edge to the point of the outline's spline farthest from it
 * (Abbott and von Doenhoff, section 6.2).
 */
import { DomainError, splineCurvatures, splineValue } from '../numeric';
import { repanel, type Contour } from './contour';

type Point = readonly [number, number];

/** How near the file's axes must be to be kept, in chords: trailing edge's middle to (1, 0), outline to (0, 0). */
const EDGE_NEAR = 0.002,
  NOSE_NEAR = 0.005;

/** Do two segments of the closed polygon cross? O(n^2), n up to 1000. */
function selfIntersects(p: readonly Point[]): boolean {
  const side = (a: Point, b: Point, c: Point) =>
    (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
  for (let i = 0; i < p.length - 1; i++) {
    for (let j = i + 2; j < p.length - 1; j++) {
      if (i === 0 && j === p.length - 2) continue;
      const d1 = side(p[i], p[i + 1], p[j]),
        d2 = side(p[i], p[i + 1], p[j + 1]);
      const d3 = side(p[j], p[j + 1], p[i]),
        d4 = side(p[j], p[j + 1], p[i + 1]);
      if (d1 * d2 < 0 && d3 * d4 < 0) return true;
    }
  }
  return false;
}

/** Distinct points, upper trailing edge first. @throws DomainError `bad-shape`, `not-finite` */
function ordered(points: readonly Point[]): Point[] {
  if (points.some((q) => !Number.isFinite(q[0]) || !Number.isFinite(q[1])))
    throw new DomainError('not-finite', 'a point is not a number');
  const p = points.filter(
    (q, i) => i === 0 || Math.abs(q[0] - points[i - 1][0]) + Math.abs(q[1] - points[i - 1][1]) > 1e-9,
  );
  if (p.length < 10)
    throw new DomainError('bad-shape', 'a section needs at least 10 distinct points', { got: p.length });
  if (selfIntersects(p)) throw new DomainError('bad-shape', 'the outline crosses itself');
  const twiceArea = p.reduce((s, q, i) => {
    const r = p[(i + 1) % p.length];
    return s + q[0] * r[1] - r[0] * q[1];
  }, 0);
  if (!(Math.abs(twiceArea) > 1e-5)) throw new DomainError('bad-shape', 'the outline encloses no area');
  return twiceArea < 0 ? [...p].reverse() : p;
}

/** The spline through the points at 40 places between neighbours. */
function finely(p: readonly Point[]): Point[] {
  const s = new Float64Array(p.length);
  for (let i = 1; i < p.length; i++)
    s[i] = s[i - 1] + Math.hypot(p[i][0] - p[i - 1][0], p[i][1] - p[i - 1][1]);
  const xs = p.map((q) => q[0]),
    ys = p.map((q) => q[1]);
  const mx = splineCurvatures(s, xs),
    my = splineCurvatures(s, ys);
  const N = 40 * (p.length - 1);
  return Array.from({ length: N + 1 }, (_, i): Point => {
    const t = (s[s.length - 1] * i) / N;
    return [splineValue(s, xs, mx, t), splineValue(s, ys, my, t)];
  });
}

/** Middle of the trailing edge at (1, 0), nose at (0, 0). */
function inOwnAxes(p: readonly Point[]): Point[] {
  const last = p[p.length - 1];
  const edge: Point = [0.5 * (p[0][0] + last[0]), 0.5 * (p[0][1] + last[1])];
  const outline = finely(p);
  const near = (q: Point) => Math.hypot(q[0], q[1]);
  if (
    Math.hypot(edge[0] - 1, edge[1]) <= EDGE_NEAR &&
    outline.reduce((m, q) => Math.min(m, near(q)), Infinity) <= NOSE_NEAR
  )
    return [...p];
  const from = (q: Point) => Math.hypot(q[0] - edge[0], q[1] - edge[1]);
  const nose = outline.reduce((a, q) => (from(q) > from(a) ? q : a), outline[0]);
  const chord = from(nose),
    c = (edge[0] - nose[0]) / chord,
    s = (edge[1] - nose[1]) / chord;
  return p.map(([x, y]): Point => {
    const dx = (x - nose[0]) / chord,
      dy = (y - nose[1]) / chord;
    return [dx * c + dy * s, dy * c - dx * s];
  });
}

/** An open trailing edge closed by a wedge over the whole chord, each face turned to the middle. */
function closed(p: readonly Point[]): Point[] {
  const last = p.length - 1;
  const mid = 0.5 * (p[0][1] + p[last][1]);
  const nose = p.reduce((b, q, i) => (q[0] < p[b][0] ? i : b), 0);
  const out = p.map((q, i): Point => {
    const gap = (i <= nose ? p[0][1] : p[last][1]) - mid;
    return [q[0], q[1] - Math.max(0, q[0]) * gap];
  });
  const x = 0.5 * (p[0][0] + p[last][0]);
  out[0] = [x, mid];
  out[last] = [x, mid];
  return out;
}

/**
 * Imported points made into a usable contour: duplicates dropped, order turned to upper-first, in the file's axes
 * where they are those of the section, an open trailing edge closed by a wedge, cut again into n points.
 * @throws DomainError `bad-shape` when it cannot be mended: fewer than 10 distinct points, or crossing itself
 */
export function contourFromPoints(points: readonly Point[], n = 160): Contour {
  return repanel(closed(inOwnAxes(ordered(points))), n);
}
