/**
 * A course from above, to scale: where each leg goes over the ground, each round once. Metres east and north of the place
 * that it left from, headings from north. Wind in the turns is left out, as it is in their time.
 */
import type { FlownLeg } from './flight';

export type Point = readonly [east: number, north: number];

export interface Line {
  /** place of its leg among those flown */ readonly at: number;
  readonly points: readonly Point[];
}

export interface Track {
  readonly lines: readonly Line[];
  /** from the start [m] */ readonly farthest: number;
  /** to the right of the first straight, at most [m] */ readonly right: number;
  readonly end: Point;
}

/** A turn is drawn by pieces no longer than this [rad]. */
const PIECE = 0.15;

interface Pen {
  x: number;
  y: number;
  heading: number;
}

const ahead = (p: Pen, far: number): Point => [
  p.x + far * Math.sin(p.heading),
  p.y + far * Math.cos(p.heading),
];

function straightOn(p: Pen, far: number): Point[] {
  const from: Point = [p.x, p.y],
    to = ahead(p, far);
  [p.x, p.y] = to;
  return [from, to];
}

/** Right turns are positive. */
function turned(p: Pen, through: number, radius: number): Point[] {
  const side = Math.sign(through) || 1,
    out = p.heading + (side * Math.PI) / 2,
    cx = p.x + radius * Math.sin(out),
    cy = p.y + radius * Math.cos(out),
    pieces = Math.max(1, Math.ceil(Math.abs(through) / PIECE));
  const points: Point[] = [[p.x, p.y]];
  for (let i = 1; i <= pieces; i++) {
    const h = p.heading + (through * i) / pieces,
      back = h - (side * Math.PI) / 2;
    points.push([cx + radius * Math.sin(back), cy + radius * Math.cos(back)]);
  }
  [p.x, p.y] = points[points.length - 1];
  p.heading += through;
  return points;
}

/** Rows beside each other, to the right. */
function rows(p: Pen, length: number, count: number, spacing: number): Point[] {
  const points: Point[] = [];
  for (let i = 0; i < count; i++) {
    points.push(...straightOn(p, length));
    if (i === count - 1) break;
    points.push(...turned(p, (i % 2 === 0 ? 1 : -1) * Math.PI, spacing / 2));
  }
  return points;
}

/** One of a leg's straights or turns at a time; null where it is all drawn. */
function* strokes(l: FlownLeg, p: Pen): Generator<Point[]> {
  const { leg, stretches } = l,
    count = leg.count ?? 1;
  if (leg.kind === 'pattern') return yield rows(p, leg.length ?? 0, count, leg.spacing ?? 0);
  const [first] = stretches;
  if (!first || !Number.isFinite(first.seconds)) return;
  if (leg.kind === 'turn') {
    for (let i = 0; i < count; i++) yield turned(p, leg.angle ?? Math.PI, first.radius);
    return;
  }
  if (leg.kind === 'loiter') {
    if (first.radius > 0) yield turned(p, 2 * Math.PI, first.radius);
    return;
  }
  const each = leg.length !== undefined && leg.time === undefined ? leg.length : null;
  if ((leg.kind === 'straight' || leg.kind === 'tow') && each !== null && count > 1) {
    for (let i = 0; i < count; i++) {
      yield straightOn(p, each);
      // without a turn between them the next goes back the same way
      if (i < count - 1) p.heading += Math.PI;
    }
    return;
  }
  if (l.distance > 0 && Number.isFinite(l.distance)) yield straightOn(p, l.distance);
}

/** Straights and turns that are written one behind the other are flown one after the other. */
function* interleaved(legs: readonly FlownLeg[], from: number, p: Pen): Generator<Line> {
  for (let i = 0; i < legs.length; i++) {
    const l = legs[i],
      next = legs[i + 1];
    const pair =
      l.leg.kind === 'straight' &&
      (l.leg.count ?? 1) > 1 &&
      next?.leg.kind === 'turn' &&
      (next.leg.count ?? 1) > 0;
    if (!pair) {
      for (const points of strokes(l, p)) yield { at: from + i, points };
      continue;
    }
    const many = Math.max(l.leg.count ?? 1, next.leg.count ?? 1);
    for (let k = 0; k < many; k++) {
      if (k < (l.leg.count ?? 1)) yield { at: from + i, points: straightOn(p, l.leg.length ?? 0) };
      if (k < (next.leg.count ?? 1))
        yield { at: from + i + 1, points: turned(p, next.leg.angle ?? Math.PI, next.stretches[0].radius) };
    }
    i++;
  }
}

/** @param bearing of the first straight [rad from north] */
export function trackOf(legs: readonly FlownLeg[], bearing = 0): Track {
  const p: Pen = { x: 0, y: 0, heading: bearing },
    lines: Line[] = [];
  for (let i = 0; i < legs.length;) {
    const { round, pass } = legs[i];
    let end = i;
    while (end < legs.length && legs[end].round === round && legs[end].pass === pass) end++;
    if (pass === 1) lines.push(...interleaved(legs.slice(i, end), i, p));
    i = end;
  }
  const points = lines.flatMap((l) => l.points),
    right: Point = [Math.cos(bearing), -Math.sin(bearing)];
  return {
    lines,
    farthest: points.reduce((m, [x, y]) => Math.max(m, Math.sqrt(x * x + y * y)), 0),
    right: points.reduce((m, [x, y]) => Math.max(m, x * right[0] + y * right[1]), 0),
    end: [p.x, p.y],
  };
}
