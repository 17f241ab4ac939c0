/**
 * How the aircraft moved: ground velocity and climb at every fix of a cleaned log. Velocity is the receiver's own where it
 * gives speed and track, else the slope of a local cubic through the places (Savitzky and Golay, Analytical Chemistry 36,
 * 1964): a straight line through a circle would come out too slow.
 */
import type { ChannelId, FlightLog } from './channels';

export interface Motion {
  /** rows of the log that these are of, n */ readonly rows: Int32Array;
  /** [s], n */ readonly t: Float64Array;
  /** over ground [m/s], n; NaN where unknown */ readonly east: Float64Array;
  readonly north: Float64Array;
  /** [m], n, as the log has it */ readonly height: Float64Array;
  /** [m/s], n */ readonly climb: Float64Array;
  /** the receiver's own velocity, not the slope of places */ readonly own: boolean;
}

/** Half of the local window [s], and the fewest fixes to a side. */
const HALF = 0.7,
  FEWEST = 3;
/** A window that spans a longer step than so many usual ones has a gap. */
const UNEVEN = 3;

/** Weights of a cubic's slope in the middle of 2m + 1 even points, of the right side: antisymmetric. */
export function slopeWeights(m: number): Float64Array {
  // odd part: sums of i^2, i^4, i^6 over one side
  let s2 = 0,
    s4 = 0,
    s6 = 0;
  for (let i = 1; i <= m; i++) {
    s2 += i ** 2;
    s4 += i ** 4;
    s6 += i ** 6;
  }
  const det = 2 * (s2 * s6 - s4 * s4);
  return Float64Array.from({ length: m + 1 }, (_, i) => (s6 * i - s4 * i ** 3) / det);
}

/** Slope of a column at each of some rows; NaN at ends and gaps. */
function slopesOf(t: Float64Array, v: Float64Array): Float64Array {
  const n = t.length,
    out = new Float64Array(n).fill(NaN);
  const steps = Float64Array.from({ length: Math.max(0, n - 1) }, (_, i) => t[i + 1] - t[i]).sort(),
    usual = steps[steps.length >> 1] ?? 0;
  if (!(usual > 0)) return out;
  const m = Math.max(FEWEST, Math.round(HALF / usual)),
    weights = slopeWeights(m);
  let even = 0;
  for (let i = 1; i < n; i++) {
    even = t[i] - t[i - 1] > UNEVEN * usual ? 0 : even + 1;
    if (even < 2 * m) continue;
    const at = i - m,
      step = (t[i] - t[i - 2 * m]) / (2 * m);
    let sum = 0;
    for (let k = 1; k <= m; k++) sum += weights[k] * (v[at + k] - v[at - k]);
    out[at] = sum / step;
  }
  return out;
}

/** Rows in which all of some channels hold a value. */
function rowsWith({ t, channels }: FlightLog, ids: readonly ChannelId[]): Int32Array {
  const of = ids.map((id) => channels[id]);
  if (of.some((c) => !c)) return new Int32Array(0);
  return Int32Array.from(t.keys()).filter((i) => of.every((c) => Number.isFinite(c![i])));
}

const taken = (of: Float64Array, rows: Int32Array) => Float64Array.from(rows, (i) => of[i]);

/** Values of a channel at some times, straight between those it has; NaN before the first and after the last. */
export function valuesAt(log: FlightLog, id: ChannelId, t: Float64Array): Float64Array {
  const rows = rowsWith(log, [id]),
    of = log.channels[id];
  let k = 0;
  return t.map((now) => {
    while (k + 1 < rows.length && log.t[rows[k + 1]] <= now) k++;
    const a = rows[k],
      b = rows[k + 1];
    if (a === undefined || !of || log.t[a] > now) return NaN;
    if (b === undefined) return log.t[a] === now ? of[a] : NaN;
    return of[a] + ((of[b] - of[a]) * (now - log.t[a])) / (log.t[b] - log.t[a]);
  });
}

/** Height that is best known: over pressure where there is one, as it is smoother. */
function heightOf({ channels }: FlightLog): 'pressureHeight' | 'height' | null {
  return channels.pressureHeight ? 'pressureHeight' : channels.height ? 'height' : null;
}

/** @param log cleaned, with east and north where it has a place */
export function motionOf(log: FlightLog): Motion {
  const direct = rowsWith(log, ['groundSpeed', 'track']),
    places = rowsWith(log, ['east', 'north']),
    own = direct.length > 0.5 * places.length && direct.length > 0;
  const rows = own ? direct : places.length > 0 ? places : Int32Array.from(log.t.keys()),
    t = taken(log.t, rows),
    { channels } = log,
    none = new Float64Array(t.length).fill(NaN);
  const speed = own ? taken(channels.groundSpeed!, rows) : none,
    track = own ? taken(channels.track!, rows) : none;
  const height = heightOf(log),
    h = height ? valuesAt(log, height, t) : none;
  const slope = (id: 'east' | 'north') =>
    places.length > 0 ? slopesOf(t, taken(channels[id]!, rows)) : none;
  return {
    rows,
    t,
    east: own ? speed.map((v, i) => v * Math.sin(track[i])) : slope('east'),
    north: own ? speed.map((v, i) => v * Math.cos(track[i])) : slope('north'),
    height: h,
    climb: height ? slopesOf(t, h) : none,
    own,
  };
}
