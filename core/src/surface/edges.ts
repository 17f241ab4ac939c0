/**
 * Where the strips of every surface begin and end. A strip edge sheds a vortex leg straight aft; what stands
 * behind or beside it
 * must not have a control point on that leg. So edges are matched: where two surfaces meet or cross (seen from behind),
 * both have an edge there; where two lie close above each other, the wider one takes the edges of the narrower one.
 * Between matched surfaces no vortex core is needed. Compared with a core of the strip's width everywhere: induced drag of tip
 * fins and boxes was 18 to 22 % high, and a close canard's lift moved by 20 % from one grid to the next.
 */
import type { Surface } from '../design';
import { isMirrored, placeOf } from './place';

/** Strip edges and control places of one surface, distance out from its root [m]. */
export interface StripEdges {
  /** n + 1, ascending */ readonly at: readonly number[];
  /** n, each between its edges where Lan's spacing puts it */ readonly mid: readonly number[];
}

export interface EdgePlan {
  readonly edges: readonly StripEdges[];
  /** by surface, by surface: legs of the second pass no control point of the first */
  readonly matched: readonly (readonly boolean[])[];
}

/**
 * Strips per half surface. Doubling them and the rows moves CL slope by under 1 %, the neutral point by under 0.5
 * % of the chord.
 */
const SPAN_STRIPS = { wing: 16, tail: 8, canard: 8, fin: 8 } as const;
/** Surfaces whose traces run nearer than this share of the narrower one's half span are close. */
const CLOSE = 0.25;
/** Ends nearer than this share of the smaller chord meet. */
const MEETS = 0.06;
/** Steepest angle between two traces that still run along each other [rad]. */
const ALONG = Math.PI / 6;

interface Trace {
  s: number;
  y: number;
  z: number;
}

const halfOf = (s: Surface): number => s.stations[s.stations.length - 1].y;

/** The surface seen from behind, right half. */
function traceOf(surface: Surface): Trace[] {
  return surface.stations.map((st) => {
    const p = placeOf(surface, st);
    return { s: st.y, y: p.y, z: p.z };
  });
}

const lifts = (s: Surface): boolean => s.role !== 'fin' && isMirrored(s);

/** Height of a trace at a distance beside the middle; null outside it. */
function heightAt(trace: readonly Trace[], y: number): number | null {
  for (let i = 0; i < trace.length - 1; i++) {
    const a = trace[i],
      b = trace[i + 1];
    if (y >= a.y && y <= b.y && b.y > a.y) return a.z + ((y - a.y) / (b.y - a.y)) * (b.z - a.z);
  }
  return null;
}

/** Do two lifting surfaces run close along each other somewhere? */
function runClose(a: Surface, b: Surface): boolean {
  if (!lifts(a) || !lifts(b)) return false;
  const ta = traceOf(a),
    tb = traceOf(b),
    from = Math.max(ta[0].y, tb[0].y),
    to = Math.min(ta[ta.length - 1].y, tb[tb.length - 1].y);
  if (!(to > from)) return false;
  const limit = CLOSE * Math.min(halfOf(a), halfOf(b));
  for (let k = 0; k <= 8; k++) {
    const y = from + ((to - from) * k) / 8,
      za = heightAt(ta, y),
      zb = heightAt(tb, y);
    if (za !== null && zb !== null && Math.abs(za - zb) < limit) return true;
  }
  return false;
}

/** Nearest points of two segments in the plane: shares along each and the distance. */
function nearest(a: Trace, b: Trace, c: Trace, d: Trace): { t: number; u: number; gap: number } {
  const ux = b.y - a.y,
    uz = b.z - a.z,
    vx = d.y - c.y,
    vz = d.z - c.z,
    wx = c.y - a.y,
    wz = c.z - a.z;
  const det = ux * vz - uz * vx;
  const clip = (x: number) => Math.min(1, Math.max(0, x));
  if (Math.abs(det) > 1e-12) {
    const t = (wx * vz - wz * vx) / det,
      u = (wx * uz - wz * ux) / det;
    if (t >= 0 && t <= 1 && u >= 0 && u <= 1) return { t, u, gap: 0 };
  }
  const onto = (p: Trace, q: Trace, r: Trace) =>
    clip(((p.y - q.y) * (r.y - q.y) + (p.z - q.z) * (r.z - q.z)) / ((r.y - q.y) ** 2 + (r.z - q.z) ** 2));
  const gapAt = (t: number, u: number) =>
    Math.hypot(a.y + t * ux - c.y - u * vx, a.z + t * uz - c.z - u * vz);
  const ends = [
    { t: onto(c, a, b), u: 0 },
    { t: onto(d, a, b), u: 1 },
    { t: 0, u: onto(a, c, d) },
    { t: 1, u: onto(b, c, d) },
  ].map((e) => ({ ...e, gap: gapAt(e.t, e.u) }));
  return ends.reduce((m, e) => (e.gap < m.gap ? e : m));
}

/** Where two surfaces meet or cross at an angle: distance out along each; null where they do not. */
function meeting(a: Surface, b: Surface): [number, number] | null {
  const ta = traceOf(a),
    tb = traceOf(b);
  const reach = MEETS * Math.min(...a.stations.map((s) => s.chord), ...b.stations.map((s) => s.chord));
  let best: { at: [number, number]; gap: number } | null = null;
  for (let i = 0; i < ta.length - 1; i++)
    for (let j = 0; j < tb.length - 1; j++) {
      const angle = Math.abs(
        Math.atan2(ta[i + 1].z - ta[i].z, ta[i + 1].y - ta[i].y) -
          Math.atan2(tb[j + 1].z - tb[j].z, tb[j + 1].y - tb[j].y),
      );
      if (Math.min(angle, Math.abs(Math.PI - angle)) < ALONG) continue;
      const n = nearest(ta[i], ta[i + 1], tb[j], tb[j + 1]);
      if (n.gap <= reach && (!best || n.gap < best.gap))
        best = {
          at: [ta[i].s + n.t * (ta[i + 1].s - ta[i].s), tb[j].s + n.u * (tb[j + 1].s - tb[j].s)],
          gap: n.gap,
        };
    }
  return best?.at ?? null;
}

/** A stretch between two matched places, cut by the cosine: fine at ends where the load changes fast. */
function cut(from: number, to: number, n: number, fineStart: boolean, fineEnd: boolean): StripEdges {
  const map = (t: number): number =>
    fineStart && fineEnd
      ? 0.5 * (1 - Math.cos(Math.PI * t))
      : fineStart
        ? 1 - Math.cos(0.5 * Math.PI * t)
        : fineEnd
          ? Math.sin(0.5 * Math.PI * t)
          : t;
  const at = (k: number) => from + (to - from) * map(k / n);
  return {
    at: Array.from({ length: n + 1 }, (_, k) => (k === n ? to : at(k))),
    mid: Array.from({ length: n }, (_, k) => at(k + 0.5)),
  };
}

/** @param marks places where others meet it @param inner edges taken from a narrower surface close to it, from its root out */
function edgesOf(
  surface: Surface,
  n: number,
  marks: readonly number[],
  inner: StripEdges | null,
): StripEdges {
  const half = halfOf(surface),
    start = inner ? inner.at[inner.at.length - 1] : 0,
    least = 0.02 * half;
  const inside = [...marks].sort((a, b) => a - b).filter((m) => m > start + least && m < half - least);
  const places = [start, ...inside.filter((m, i) => i === 0 || m - inside[i - 1] > least), half];
  // the middle of the aircraft is no end, but where a fin stands on it, and a fin itself, the load changes fast
  const rootFine = inner !== null || surface.role === 'fin' || marks.some((m) => m < least);
  const out = { at: inner ? [...inner.at] : [start], mid: inner ? [...inner.mid] : [] };
  const share = (s: number) => Math.asin(Math.min(1, s / half)) / (Math.PI / 2);
  for (let i = 0; i < places.length - 1; i++) {
    const [a, b] = [places[i], places[i + 1]];
    const wanted = surface.role === 'fin' ? ((b - a) / half) * n : (share(b) - share(a)) * n;
    const alone = places.length === 2 && !inner;
    const count = alone ? n : Math.max(b - a > 4 * least ? 3 : 1, Math.ceil(wanted));
    const piece = cut(a, b, count, i > 0 || rootFine, true);
    out.at.push(...piece.at.slice(1));
    out.mid.push(...piece.mid);
  }
  return out;
}

/** Edges in distance beside the middle turned into distance out from another root, as far as they reach. */
function handedOn(from: Surface, edges: StripEdges, to: Surface): StripEdges | null {
  const shift = (from.y ?? 0) - (to.y ?? 0);
  if (Math.abs(shift) > 1e-6) return null;
  const tip = edges.at[edges.at.length - 1];
  if (tip > halfOf(to) * 1.001) return null;
  // tips that nearly agree are one
  const scale = tip > 0.97 * halfOf(to) ? halfOf(to) / tip : 1;
  return {
    at: edges.at.map((s) => s * scale),
    mid: edges.mid.map((s) => s * scale),
  };
}

/** @param refine multiplies the strips (1 for work, 2 or 3 for convergence checks) */
export function planEdges(surfaces: readonly Surface[], refine = 1): EdgePlan {
  const n = surfaces.length;
  const matched = surfaces.map((_, i) => surfaces.map((__, j) => i === j));
  const marks = surfaces.map((): number[] => []);
  for (let i = 0; i < n; i++)
    for (let j = i + 1; j < n; j++) {
      const at = meeting(surfaces[i], surfaces[j]);
      if (!at) continue;
      marks[i].push(at[0]);
      marks[j].push(at[1]);
      matched[i][j] = matched[j][i] = true;
    }
  const wing = surfaces.find((s) => s.role === 'wing');
  const strips = (s: Surface) =>
    refine * (lifts(s) && wing && halfOf(s) > 0.6 * halfOf(wing) ? SPAN_STRIPS.wing : SPAN_STRIPS[s.role]);
  const edges: StripEdges[] = [];
  // narrow ones first: the wider take theirs
  const order = surfaces.map((_, i) => i).sort((a, b) => halfOf(surfaces[a]) - halfOf(surfaces[b]));
  for (const [k, i] of order.entries()) {
    let inner: StripEdges | null = null;
    for (const j of order.slice(0, k)) {
      if (!runClose(surfaces[i], surfaces[j])) continue;
      const taken = handedOn(surfaces[j], edges[j], surfaces[i]);
      if (!taken) continue;
      // the widest of the narrower ones holds the edges of the rest already
      inner = taken;
      matched[i][j] = matched[j][i] = true;
    }
    const whole = inner !== null && inner.at[inner.at.length - 1] >= halfOf(surfaces[i]) * 0.999;
    edges[i] = whole ? inner! : edgesOf(surfaces[i], strips(surfaces[i]), marks[i], inner);
  }
  return { edges, matched };
}
