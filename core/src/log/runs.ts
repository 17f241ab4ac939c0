/**
 * Runs along the ground: from the first movement to where the line of the first climb meets the ground, and from where the
 * last of the descent meets it to standing still.
 */
import type { FlightLog } from './channels';
import { rowsIn, slopeIn } from './lines';
import type { Motion } from './motion';
import { startHeight, type Segment } from './phases';
import { resultOf, type LogResult } from './result';
import { changeOver, PLACE_NOISE, PLACE_WANDERS, type Wandering } from './sensors';
import { rowsWhere } from './span';
import type { ReduceTask } from './task';

/** The line is laid up to this height over the ground [m], no longer than so many seconds; flat ground for a while before. */
const HIGH = 7,
  WITHIN = 8,
  BEFORE = 4;
/** A height that wanders by more than this [m] tells no touching of the ground. */
const DOUBTFUL = 1;
/** Longer than this it is no run [s]. */
const LONGEST = 30;
/** Slower than this [m/s] it stands. */
const STANDS = 0.7;

interface Run {
  readonly from: number;
  readonly to: number;
  /** [s] */ readonly sigma: number;
}

interface Hinge {
  /** [s] */ readonly t: number;
  readonly sigma: number;
}

/** Slope beyond a hinge at some time, and what is left. */
function beyond(u: readonly number[], h: readonly number[], at: number) {
  let top = 0,
    below = 0;
  u.forEach((v, i) => {
    if (v <= at) return;
    top += h[i] * (v - at);
    below += (v - at) ** 2;
  });
  const slope = below > 0 ? top / below : 0;
  const left = u.reduce((s, v, i) => s + (h[i] - slope * Math.max(0, v - at)) ** 2, 0);
  return { slope, left };
}

/** Flat, then a line: the hinge that leaves the least. @param u times, rising @param h over the ground */
function hingeOf(u: readonly number[], h: readonly number[], wandering: Wandering): Hinge | null {
  const first = u[0],
    last = u.at(-1)!,
    step = 0.02;
  let best = first,
    least = Infinity;
  for (let at = first; at < last - 0.5; at += step) {
    const { left } = beyond(u, h, at);
    if (left < least) {
      least = left;
      best = at;
    }
  }
  const { slope } = beyond(u, h, best),
    n = u.filter((v) => v > best).length;
  if (n < 4 || slope < 0.2) return null;
  // of a line through the hinge: variance of where it begins
  const own = (2 * Math.sqrt(least / (u.length - 2))) / (slope * Math.sqrt(n)),
    wanders = changeOver(wandering, BEFORE) / slope;
  return { t: best, sigma: Math.hypot(own, wanders, step) };
}

/** When the line of the height meets the ground, forward into the flight or backward from its end. */
function meetsGround(m: Motion, at: number, forward: boolean): Hinge | null {
  const ground = startHeight(m),
    way = forward ? 1 : -1;
  // the height of fixes wanders by more than a run lets it climb
  if (!Number.isFinite(ground) || m.heightWanders.sd > DOUBTFUL) return null;
  const about = forward ? { from: at - BEFORE, to: at + WITHIN } : { from: at - WITHIN, to: at + BEFORE },
    near = rowsIn(m.t, m.height, about);
  if (!forward) near.reverse();
  const end = near.findIndex((i) => m.height[i] > ground + HIGH),
    rows = end < 0 ? near : near.slice(0, end);
  if (rows.length < 8) return null;
  const found = hingeOf(
    rows.map((i) => way * m.t[i]),
    rows.map((i) => m.height[i] - ground),
    m.heightWanders,
  );
  return found && { t: way * found.t, sigma: found.sigma };
}

const speedAt = (m: Motion, i: number) => Math.hypot(m.east[i], m.north[i]);

function takeOff(m: Motion, flight: Segment): Run | null {
  const lift = meetsGround(m, flight.from, true);
  if (!lift) return null;
  let first = NaN;
  for (let i = m.t.findLastIndex((t) => t <= lift.t); i >= 0; i--) {
    // from the last fix at which it stood
    if (Number.isFinite(speedAt(m, i))) first = m.t[i];
    if (speedAt(m, i) < STANDS) break;
  }
  // without standing still before it, the log begins too late
  return lift.t - first > 0.4 && lift.t - first < LONGEST && first > m.t[0] + 0.5
    ? { from: first, to: lift.t, sigma: lift.sigma }
    : null;
}

function landing(m: Motion, flight: Segment): Run | null {
  const down = meetsGround(m, flight.to, false);
  if (!down) return null;
  let last = NaN;
  for (
    let i = Math.max(
      0,
      m.t.findIndex((t) => t >= down.t),
    );
    i < m.t.length;
    i++
  ) {
    if (Number.isFinite(speedAt(m, i))) last = m.t[i];
    if (speedAt(m, i) < STANDS) break;
  }
  return last - down.t > 0.4 && last - down.t < LONGEST && last < m.t[m.t.length - 1] - 0.5
    ? { from: down.t, to: last, sigma: down.sigma }
    : null;
}

/** A height that wanders is followed down so long [s], where it goes by so much [m/s] at least. */
const FOLLOWED = 8,
  STEEP = 0.4;

/** Where a height that wanders would meet the ground if it went on as it goes there. */
function wouldMeet(m: Motion, at: number, forward: boolean): Hinge | null {
  const ground = startHeight(m),
    fit = slopeIn(m.t, m.height, forward ? { from: at, to: at + FOLLOWED } : { from: at - FOLLOWED, to: at });
  if (!fit || !Number.isFinite(ground) || !((forward ? 1 : -1) * fit.slope > STEEP)) return null;
  const middle = at + (forward ? 0.5 : -0.5) * FOLLOWED,
    t = middle - (fit.middle - ground) / fit.slope;
  if (Math.abs(t - at) > FOLLOWED) return null;
  return { t, sigma: Math.hypot(m.heightWanders.sd, fit.level) / Math.abs(fit.slope) };
}

/** When it left the ground or touched it. */
const groundAt = (m: Motion, at: number, forward: boolean): Hinge | null =>
  meetsGround(m, at, forward) ?? wouldMeet(m, at, forward);

/** Nobody saw the ground [s]. */
const UNSEEN = 3;

/** What the two ends of a flight are missed by, beside a row, where they do not show [s]. */
export function endsMissed(m: Motion, { from, to }: Segment): number {
  const missed = (at: number, forward: boolean) =>
    meetsGround(m, at, forward) ? 0 : (wouldMeet(m, at, forward)?.sigma ?? UNSEEN);
  return Math.hypot(missed(from, true), missed(to, false));
}

/** Flights from leaving the ground to touching it, where both are seen; else as they were found. */
export function fromTheGround(m: Motion, segments: readonly Segment[]): Segment[] {
  return segments.map((s) => {
    if (s.kind !== 'flight') return s;
    const up = groundAt(m, s.from, true),
      down = groundAt(m, s.to, false);
    return { ...s, from: up && up.t < s.to ? up.t : s.from, to: down && down.t > s.from ? down.t : s.to };
  });
}

export function runsOf(m: Motion, segments: readonly Segment[]): Segment[] {
  const flights = segments.filter((s) => s.kind === 'flight');
  const many = flights.length > 1;
  return flights.flatMap((f, i) => {
    const named = (kind: 'run' | 'landing', r: Run | null): Segment[] =>
      r ? [{ kind, name: many ? `${kind} ${i + 1}` : kind, from: r.from, to: r.to }] : [];
    return [...named('run', takeOff(m, f)), ...named('landing', landing(m, f))];
  });
}

/** Way over ground within a stretch; NaN where places are missing at its ends. */
function wayOver({ t, channels: { east, north } }: FlightLog, { from, to }: Segment) {
  if (!east || !north) return { way: NaN, count: 0 };
  const about = { from: from - 0.3, to: to + 0.3 },
    rows = rowsWhere(t, about, (i) => Number.isFinite(east[i] + north[i]));
  const at = (when: number, of: Float64Array) => {
    const b = rows.findIndex((i) => t[i] >= when),
      [p, q] = [rows[b - 1], rows[b]];
    if (q === undefined) return NaN;
    if (p === undefined) return of[q];
    return of[p] + ((of[q] - of[p]) * (when - t[p])) / (t[q] - t[p]);
  };
  const way = Math.hypot(at(to, east) - at(from, east), at(to, north) - at(from, north));
  return { way, count: rows.length };
}

export function runResults({ log, motion: m, segments }: ReduceTask): LogResult[] {
  return (['run', 'landing'] as const).flatMap((kind) => {
    const s = segments.find((x) => x.kind === kind);
    if (!s) return [];
    const { way, count } = wayOver(log, s);
    if (!Number.isFinite(way)) return [];
    const flight = segments.find((f) => f.kind === 'flight' && f.to > s.from),
      met = flight && meetsGround(m, kind === 'run' ? flight.from : flight.to, kind === 'run'),
      fast = rowsWhere(m.t, s, () => true).reduce((top, i) => Math.max(top, speedAt(m, i) || 0), 0);
    const place = Math.hypot(Math.SQRT2 * PLACE_NOISE, changeOver(PLACE_WANDERS, s.to - s.from)),
      sigma = Math.hypot(place, fast * (met?.sigma ?? 0.3));
    return [
      resultOf(
        kind === 'run' ? 'groundRun' : 'landingRun',
        { value: way, sigma },
        {
          segment: s.name,
          count,
          method:
            kind === 'run'
              ? 'first movement to where the line of the climb meets the ground'
              : 'where the line of the descent meets the ground to standing still',
        },
      ),
    ];
  });
}
