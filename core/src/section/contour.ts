/**
 * Section contours. Points run from the trailing edge over the upper face to the nose and back
 * along the lower face, chord 1, nose at the origin. Flat array [x0, y0, x1, y1, ...].
 */
import { interpolateLinear, splineCurvatures, splineValue } from '../numeric';

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
  /** leading-edge radius / chord */ noseRadius: number;
  /** angle between the faces at the trailing edge [rad] */ edgeAngle: number;
  /** second moments of the filled shape about its own centroid / chord^4: for bending up and down, and fore and aft */
  momentFlat: number;
  momentEdge: number;
}

/**
 * Panel lengths: at the trailing edges as a share of the middle's, at a curve as the turn each panel may take [rad], and
 * how fast neighbours may differ.
 */
const EDGE_SHARE = 0.25,
  PANEL_TURN = 0.16,
  GRADING = 0.12;

/**
 * Spline in arc length through any number of points, cut again into n points: short panels where the outline
 * curves and at the edges, neighbours differing little.
 */
export function repanel(p: readonly (readonly [number, number])[], n: number): Contour {
  const s = new Float64Array(p.length);
  for (let i = 1; i < p.length; i++)
    s[i] = s[i - 1] + Math.max(1e-9, Math.hypot(p[i][0] - p[i - 1][0], p[i][1] - p[i - 1][1]));
  const xs = p.map((q) => q[0]),
    ys = p.map((q) => q[1]);
  const mx = splineCurvatures(s, xs),
    my = splineCurvatures(s, ys);
  const total = s[p.length - 1];
  // curvature from the turn of the tangent over short steps
  const M = 1200,
    fine = total / M;
  const at = (t: number): [number, number] => [splineValue(s, xs, mx, t), splineValue(s, ys, my, t)];
  const pts = Array.from({ length: M + 1 }, (_, i) => at(i * fine));
  const curve = new Float64Array(M + 1);
  for (let i = 1; i < M; i++) {
    const a = Math.atan2(pts[i][1] - pts[i - 1][1], pts[i][0] - pts[i - 1][0]),
      b = Math.atan2(pts[i + 1][1] - pts[i][1], pts[i + 1][0] - pts[i][0]);
    curve[i] = Math.abs(Math.atan2(Math.sin(b - a), Math.cos(b - a))) / fine;
  }
  const lengths = (middle: number): Float64Array => {
    const h = new Float64Array(M + 1);
    for (let i = 0; i <= M; i++)
      h[i] = Math.min(middle, (PANEL_TURN / Math.max(curve[i], 1e-6)) * (middle / (total / n)));
    h[0] = h[M] = EDGE_SHARE * middle;
    for (let i = 1; i <= M; i++) h[i] = Math.min(h[i], h[i - 1] + GRADING * fine);
    for (let i = M - 1; i >= 0; i--) h[i] = Math.min(h[i], h[i + 1] + GRADING * fine);
    return h;
  };
  const counted = (h: Float64Array): Float64Array => {
    const c = new Float64Array(M + 1);
    for (let i = 1; i <= M; i++) c[i] = c[i - 1] + 0.5 * fine * (1 / h[i] + 1 / h[i - 1]);
    return c;
  };
  let lo = 0.1 * (total / n),
    hi = 20 * (total / n);
  for (let k = 0; k < 50; k++) {
    const mid = Math.sqrt(lo * hi);
    if (counted(lengths(mid))[M] > n - 1) lo = mid;
    else hi = mid;
  }
  const count = counted(lengths(Math.sqrt(lo * hi)));
  const xy = new Float64Array(2 * n);
  for (let i = 0, k = 0; i < n; i++) {
    const want = (i * count[M]) / (n - 1);
    while (k < M - 1 && count[k + 1] < want) k++;
    const t = i === n - 1 ? total : fine * (k + (want - count[k]) / (count[k + 1] - count[k]));
    const q = at(t);
    xy[2 * i] = q[0];
    xy[2 * i + 1] = q[1];
  }
  return { xy };
}

type Face = { x: number[]; y: number[] };
/** A contour does not change: its faces are parted once. */
const parted = new WeakMap<Contour, readonly Face[]>();

/** Upper and lower ordinates against x, ascending in x. */
export function faces(contour: Contour): readonly Face[] {
  const known = parted.get(contour);
  if (known) return known;
  const made = facesOf(contour);
  parted.set(contour, made);
  return made;
}

function facesOf(contour: Contour): readonly Face[] {
  const n = contour.xy.length / 2;
  const nose = Array.from({ length: n }, (_, i) => i).reduce(
    (b, i) => (contour.xy[2 * i] < contour.xy[2 * b] ? i : b),
    0,
  );
  const pick = (idx: number[]) => ({
    x: idx.map((i) => contour.xy[2 * i]),
    y: idx.map((i) => contour.xy[2 * i + 1]),
  });
  return [
    pick(Array.from({ length: nose + 1 }, (_, i) => nose - i)),
    pick(Array.from({ length: n - nose }, (_, i) => nose + i)),
  ];
}

/** Camber line height at x (chord 1). */
export function camberAt(contour: Contour, x: number): number {
  const [u, l] = faces(contour);
  return 0.5 * (interpolateLinear(u.x, u.y, x) + interpolateLinear(l.x, l.y, x));
}

/** Thickness at x (chord 1): what a spar there has room for. */
export function thicknessAt(contour: Contour, x: number): number {
  const [u, l] = faces(contour);
  return interpolateLinear(u.x, u.y, x) - interpolateLinear(l.x, l.y, x);
}

/** Thickness, camber, area, nose radius, edge angle and second moments. Second moments by Green's theorem on the outline. */
export function contourFacts(contour: Contour): ContourFacts {
  const [u, l] = faces(contour);
  const out: ContourFacts = {
    thickness: 0,
    thicknessAt: 0,
    camber: 0,
    camberAt: 0,
    area: 0,
    noseRadius: 0,
    edgeAngle: 0,
    momentFlat: 0,
    momentEdge: 0,
  };
  const N = 200;
  for (let i = 0; i <= N; i++) {
    const x = i / N;
    const up = interpolateLinear(u.x, u.y, x),
      lo = interpolateLinear(l.x, l.y, x);
    if (up - lo > out.thickness) {
      out.thickness = up - lo;
      out.thicknessAt = x;
    }
    if (x >= 0.02 && x <= 0.98 && Math.abs(0.5 * (up + lo)) > Math.abs(out.camber)) {
      out.camber = 0.5 * (up + lo);
      out.camberAt = x;
    }
  }
  const { xy } = contour;
  const n = xy.length / 2;
  let a = 0,
    cx = 0,
    cy = 0,
    ix = 0,
    iy = 0;
  for (let i = 0; i < n; i++) {
    const j = (i + 1) % n,
      x0 = xy[2 * i],
      y0 = xy[2 * i + 1],
      x1 = xy[2 * j],
      y1 = xy[2 * j + 1];
    const w = x0 * y1 - x1 * y0;
    a += w / 2;
    cx += ((x0 + x1) * w) / 6;
    cy += ((y0 + y1) * w) / 6;
    ix += ((y0 * y0 + y0 * y1 + y1 * y1) * w) / 12;
    iy += ((x0 * x0 + x0 * x1 + x1 * x1) * w) / 12;
  }
  out.area = a;
  out.momentFlat = ix - (cy * cy) / a;
  out.momentEdge = iy - (cx * cx) / a;
  // circle through three points round the nose
  let nose = 0;
  for (let i = 0; i < n; i++) if (xy[2 * i] < xy[2 * nose]) nose = i;
  const p = (i: number) => [xy[2 * i], xy[2 * i + 1]] as const;
  const [A, B, C] = [p(Math.max(0, nose - 1)), p(nose), p(Math.min(n - 1, nose + 1))];
  const ab = Math.hypot(A[0] - B[0], A[1] - B[1]),
    bc = Math.hypot(C[0] - B[0], C[1] - B[1]),
    ca = Math.hypot(A[0] - C[0], A[1] - C[1]);
  const cross = Math.abs((B[0] - A[0]) * (C[1] - A[1]) - (B[1] - A[1]) * (C[0] - A[0]));
  out.noseRadius = cross > 0 ? (ab * bc * ca) / (2 * cross) : 0;
  const way = (i: number, j: number) => Math.atan2(xy[2 * j + 1] - xy[2 * i + 1], xy[2 * i] - xy[2 * j]);
  out.edgeAngle = way(0, 2) - way(n - 1, n - 3);
  return out;
}
