/**
 * How the aircraft moved: ground velocity and climb at every fix of a cleaned log. Velocity is the receiver's own where it
 * gives speed and track, else the slope of a local cubic through the places (Savitzky and Golay, Analytical Chemistry 36,
 * 1964): a straight line through a circle would come out too slow.
 */
import type { ChannelId, FlightLog } from './channels';
import { medianOf, scatterOf } from './middle';
import { FIX_HEIGHT_WANDERS, HEIGHT_WANDERS, type Wandering } from './sensors';

export interface Motion {
  /** rows of the log that these are of, n */ readonly rows: Int32Array;
  /** [s], n */ readonly t: Float64Array;
  /** over ground [m/s], n; NaN where unknown */ readonly east: Float64Array;
  readonly north: Float64Array;
  /** [m], n, as the log has it */ readonly height: Float64Array;
  /** [m/s], n */ readonly climb: Float64Array;
  /** usual time between fixes [s] */ readonly step: number;
  /** the receiver's own velocity, not the slope of places */ readonly own: boolean;
  /** what one climb is missed by, each by itself [m/s] */ readonly climbNoise: number;
  /** by which the height wanders, whatever its sensor is */ readonly heightWanders: Wandering;
  /** what one velocity is missed by along each axis, each by itself [m/s] */ readonly noise: number;
}

/** Half of the local window [s], and the fewest fixes to a side. */
const HALF = 0.7,
  FEWEST = 2;
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

/** Standard deviation of such a slope by what one place is missed by. */
function slopeNoise(t: Float64Array, place: number): number {
  const usual = usualOf(t);
  if (!(usual > 0)) return 0;
  const weights = slopeWeights(sideOf(usual));
  return (place * Math.sqrt(2 * weights.reduce((s, w) => s + w * w, 0))) / usual;
}

/**
 * How much of a circle's speed such slopes show: less where it turns far within their window; 1 of the receiver's own.
 * @param rate of turn [rad/s]
 */
export function slopeResponse({ own, step }: Pick<Motion, 'own' | 'step'>, rate: number): number {
  const turned = Math.abs(rate) * step;
  if (own || !(turned > 1e-9)) return 1;
  const weights = slopeWeights(sideOf(step));
  return weights.reduce((sum, w, k) => sum + 2 * w * Math.sin(k * turned), 0) / turned;
}

/** How far to each side a velocity is made of places [s]; 0 of the receiver's own. */
export const slopeReach = ({ own, step }: Pick<Motion, 'own' | 'step'>): number =>
  own || step < HALF / FEWEST ? 0 : sideOf(step) * step;

const sideOf = (usual: number) => Math.max(FEWEST, Math.round(HALF / usual));
function usualOf(t: Float64Array): number {
  const steps: number[] = [],
    every = Math.max(1, Math.floor(t.length / LOOKED_AT));
  for (let i = 1; i < t.length; i += every) steps.push(t[i] - t[i - 1]);
  return medianOf(steps);
}

/** Slope of a column at each of some rows; NaN at ends and gaps. */
function slopesOf(t: Float64Array, v: Float64Array): Float64Array {
  const n = t.length,
    out = new Float64Array(n).fill(NaN);
  const usual = usualOf(t);
  if (!(usual > 0)) return out;
  const m = sideOf(usual),
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
  const out = new Int32Array(t.length);
  let count = 0;
  for (let i = 0; i < t.length; i++) {
    let sum = 0;
    for (const c of of) sum += c![i];
    if (Number.isFinite(sum)) out[count++] = i;
  }
  return out.subarray(0, count);
}

/** Of a long log every so many rows tell its noise. */
const LOOKED_AT = 20_000;

/** Standard deviation of what neighbours do not share, by their third differences: a cubic in time has none. */
function noiseOf(v: Float64Array): number {
  const sizes: number[] = [],
    every = Math.max(1, Math.floor(v.length / LOOKED_AT));
  for (let i = 3; i < v.length; i += every) {
    const d = v[i] - 3 * v[i - 1] + 3 * v[i - 2] - v[i - 3];
    if (Number.isFinite(d)) sizes.push(Math.abs(d));
  }
  return sizes.length > 20 ? scatterOf(sizes) / Math.sqrt(20) : 0;
}

/** A height in whole steps is missed by a part of one, however still it stands. */
function heightNoise(h: Float64Array): number {
  const steps: number[] = [];
  for (let i = 1; i < h.length; i++) if (h[i] !== h[i - 1]) steps.push(Math.abs(h[i] - h[i - 1]));
  const coarse = steps.length < 0.7 * h.length ? medianOf(steps) / Math.sqrt(12) : 0;
  return Math.max(noiseOf(h), coarse || 0);
}

/** Nothing is missed by more than it scatters: a height that leapt once is no coarse one. */
const sizeOf = (v: Float64Array): number => scatterOf(v.filter(Number.isFinite).map(Math.abs));

/** All rows are the column itself. */
function taken(of: Float64Array, rows: Int32Array): Float64Array {
  if (rows.length === of.length) return of;
  const out = new Float64Array(rows.length);
  for (let k = 0; k < rows.length; k++) out[k] = of[rows[k]];
  return out;
}

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
  const place = (id: 'east' | 'north') => taken(channels[id]!, rows),
    slope = (id: 'east' | 'north') => (places.length > 0 ? slopesOf(t, place(id)) : none);
  const east = own ? speed.map((v, i) => v * Math.sin(track[i])) : slope('east'),
    north = own ? speed.map((v, i) => v * Math.cos(track[i])) : slope('north');
  const both = (of: (id: 'east' | 'north') => number) =>
    Math.sqrt(0.5 * (of('east') ** 2 + of('north') ** 2));
  const climb = height ? slopesOf(t, h) : none;
  const noise = own
    ? both((id) => noiseOf(id === 'east' ? east : north))
    : places.length > 0
      ? both((id) => slopeNoise(t, noiseOf(place(id))))
      : 0;
  return {
    rows,
    t,
    east,
    north,
    height: h,
    climb,
    step: usualOf(t) || 0,
    own,
    climbNoise: height ? Math.min(slopeNoise(t, heightNoise(h)), sizeOf(climb)) : 0,
    heightWanders: height === 'height' ? FIX_HEIGHT_WANDERS : HEIGHT_WANDERS,
    noise,
  };
}
