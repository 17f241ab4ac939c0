/** Parts of a flight told from how it moved: in the air, climbing, gliding, level. Bounds are common practice, no source. */
import type { SegmentKind } from '../design';
import type { FlightLog } from './channels';
import { medianOf, quantileOf } from './middle';
import { valuesAt, type Motion } from './motion';
import { rangeOf, type Span } from './span';

export interface Segment {
  readonly name: string;
  readonly kind: SegmentKind;
  /** [s] */ readonly from: number;
  readonly to: number;
}

/** Faster over ground [m/s] or higher over the start [m] than anything that is not flying. */
const FLIES = 4,
  HIGH = 2;
/** Shorter in the air is a hop or a fault [s]. */
const LEAST_FLIGHT = 2;
/** Stretches of rows that fail for no longer than this hang together [s]. */
const BRIDGED = 0.8;
/** Usual steps to a row that is the next one. */
const NEXT_ROW = 1.5;

/** Stretches of time in which something holds, short lapses bridged, short stretches left out. */
function stretches({ t, step }: Motion, holds: (i: number) => boolean, least: number): Span[] {
  // of a slow log the next row is no lapse yet
  const bridged = Math.max(BRIDGED, NEXT_ROW * step);
  const out: { from: number; to: number }[] = [];
  for (let i = 0; i < t.length; i++) {
    if (!holds(i)) continue;
    const last = out.at(-1);
    if (last && t[i] - last.to <= bridged) last.to = t[i];
    else out.push({ from: t[i], to: t[i] });
  }
  return out.filter((s) => s.to - s.from >= least);
}

/** Of the first few, which do not wander yet. */
const middleOf = (still: readonly number[]) => medianOf(still.slice(0, 25));

/** Middle height of what stands still, from one end of the log inward; NaN where it flies there already. */
function heightAtRest({ t, height, east, north }: Motion, backward: boolean): number {
  const still: number[] = [],
    n = t.length;
  for (let k = 0; k < n; k++) {
    const i = backward ? n - 1 - k : k;
    if (Math.abs(t[i] - t[backward ? n - 1 : 0]) > 60 || Math.hypot(east[i], north[i]) > FLIES) break;
    if (!Number.isFinite(height[i])) continue;
    // straight up from where it stood, it is as slow over ground
    if (still.length >= 5 && Math.abs(height[i] - middleOf(still)) > HIGH) break;
    still.push(height[i]);
  }
  return still.length >= 5 ? medianOf(still) : NaN;
}

/** Height of the start, else of where it came down; NaN where the log never shows the ground. */
export function startHeight(m: Motion): number {
  const first = heightAtRest(m, false);
  return Number.isFinite(first) ? first : heightAtRest(m, true);
}

/** Whether it flies at each fix; where nothing is known it goes on as it was. */
function flying(m: Motion): Uint8Array {
  const ground = startHeight(m),
    known = Number.isFinite(ground),
    // a height that wanders is no flying
    least = Math.max(HIGH, WANDERS * m.heightWanders.sd),
    out = new Uint8Array(m.t.length);
  for (let i = 0; i < out.length; i++) {
    const speed = Math.hypot(m.east[i], m.north[i]),
      high = known && Number.isFinite(m.height[i]);
    if (high) out[i] = m.height[i] > ground + least ? 1 : 0;
    else if (Number.isFinite(speed)) out[i] = speed > FLIES ? 1 : 0;
    else out[i] = i > 0 ? out[i - 1] : 0;
  }
  return out;
}

/** Standard deviations of a height that are no height yet. */
const WANDERS = 3;

/** Lapses of the log that a flight goes on through [s]: what comes after is in the air still. */
const THROUGH = 3;

/**
 * In the air, from the first to the last time. A gap or a frozen fix shows no ground: before and behind it is one flight.
 */
function airborne(m: Motion): Span[] {
  const flies = flying(m),
    out: { from: number; to: number }[] = [];
  let grounded = true;
  for (let i = 0; i < flies.length; i++) {
    const last = out.at(-1);
    if (flies[i] === 0) {
      if (last && m.t[i] - last.to > THROUGH) grounded = true;
    } else if (last && !grounded) last.to = m.t[i];
    else {
      out.push({ from: m.t[i], to: m.t[i] });
      grounded = false;
    }
  }
  return out.filter((s) => s.to - s.from >= LEAST_FLIGHT);
}

/** Power below this share of the most that was flown with is idling. */
const IDLE = 0.06;

/** Whether the motor pulls at each fix; null where the log says nothing of it. */
function motorOn(log: FlightLog, m: Motion): ((i: number) => boolean) | null {
  const { channels } = log;
  const id = channels.amps ? 'amps' : channels.power ? 'power' : channels.throttle ? 'throttle' : null;
  if (!id) return null;
  const now = valuesAt(log, id, m.t),
    // a few readings may be wild
    most = quantileOf(now.filter(Number.isFinite), 0.98);
  return most > 0 ? (i) => now[i] > IDLE * most : () => false;
}

/** Mean of a column over so many seconds to both sides; NaN where little is known. */
export function smoothed(t: Float64Array, v: Float64Array, half: number): Float64Array {
  const out = new Float64Array(v.length);
  let a = 0,
    b = 0,
    sum = 0,
    n = 0;
  for (let i = 0; i < t.length; i++) {
    for (; b < t.length && t[b] <= t[i] + half; b++)
      if (Number.isFinite(v[b])) {
        sum += v[b];
        n++;
      }
    for (; t[a] < t[i] - half; a++)
      if (Number.isFinite(v[a])) {
        sum -= v[a];
        n--;
      }
    out[i] = n > 0 ? sum / n : NaN;
  }
  return out;
}

/** 1 at every fix within one of some stretches. */
function marked(t: Float64Array, spans: readonly Span[]): Uint8Array {
  const out = new Uint8Array(t.length);
  for (const s of spans) out.fill(1, ...rangeOf(t, s));
  return out;
}

/** Steady: it climbs or sinks by more than this [m/s], for so long [s]. */
const CLIMBS = 0.7,
  CLIMB_SHARE = 0.45,
  SINKS = 0.2,
  SINKS_SURELY = 0.5,
  /** [m] */ DOUBTFUL = 1,
  LEAST_CLIMB = 4,
  LEAST_GLIDE = 5,
  LEAST_LEVEL = 5,
  LEVEL = 0.8;

/** Hangs still: slower over ground than this, and hardly up or down [m/s]; for so long [s]. */
const HANGS = 1.2,
  HANGS_CLIMB = 0.5,
  LEAST_HOVER = 4;

const numbered = (kind: SegmentKind, spans: readonly Span[]): Segment[] =>
  spans.map((s, i) => ({ kind, name: spans.length > 1 ? `${kind} ${i + 1}` : kind, ...s }));

/** Segments of a log, by kind and then by time. */
export function segmentsOf(log: FlightLog, m: Motion): Segment[] {
  const air = airborne(m),
    pulls = motorOn(log, m),
    climb = smoothed(m.t, m.climb, 1),
    flown = marked(m.t, air),
    inAir = (i: number) => flown[i] === 1;
  const best = quantileOf(
      climb.filter((v, i) => inAir(i) && Number.isFinite(v)),
      0.95,
    ),
    most = best || 0;
  const climbs = (i: number) =>
    inAir(i) && climb[i] > Math.max(CLIMBS, CLIMB_SHARE * most) && (pulls === null || pulls(i));
  const ground = startHeight(m);
  const hangs = (i: number) =>
    inAir(i) &&
    Math.abs(climb[i]) < HANGS_CLIMB &&
    Math.abs(m.east[i]) < HANGS &&
    Math.hypot(m.east[i], m.north[i]) < HANGS &&
    m.height[i] > ground + HIGH;
  // where nothing says that the motor is off, and the height wanders, a shallow sink may be level flight
  const sinks = pulls === null && m.heightWanders.sd > DOUBTFUL ? SINKS_SURELY : SINKS;
  const glides = (i: number) => inAir(i) && climb[i] < -sinks && !(pulls?.(i) ?? false);
  const level = (i: number) =>
    inAir(i) && !hangs(i) && !(Math.abs(climb[i]) > LEVEL) && (pulls === null || pulls(i));
  return [
    ...numbered('flight', air),
    ...numbered('climb', stretches(m, climbs, LEAST_CLIMB)),
    ...numbered('level', stretches(m, level, LEAST_LEVEL)),
    ...numbered('glide', stretches(m, glides, LEAST_GLIDE)),
    ...numbered('hover', stretches(m, hangs, LEAST_HOVER)),
  ];
}
