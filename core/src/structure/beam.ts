/**
 * A cantilever from y = 0 out: shear, moment and torque from what loads it, deflection and twist from its stiffness.
 *   V(y) = int_y^b f dt,  M(y) = int_y^b f (t - y) dt,  w'' = M / EI,  phi' = T / GJ
 * Places come three to an interval, its start, middle and end, so that a size may jump between two of them. Source: Gere,
 * Mechanics of Materials, 4.3 and 9.2. Integration of w'' is exact for a parabola in each interval.
 */

/** 3n places [m]; interval i is 3i, 3i + 1, 3i + 2. */
export type Grid = Float64Array;

/**
 * Intervals of about equal length that end at every break.
 * @param end [m], above 0 @param n intervals, about
 */
export function beamGrid(end: number, breaks: readonly number[], n = 32): Grid {
  const stops = [0, end, ...breaks.filter((b) => b > 1e-9 * end && b < end * (1 - 1e-9))].sort(
    (a, b) => a - b,
  );
  const cuts: number[] = [0];
  for (let k = 1; k < stops.length; k++) {
    const a = stops[k - 1],
      span = stops[k] - a,
      parts = Math.max(1, Math.round((n * span) / end));
    if (!(span > 1e-9 * end)) continue;
    for (let i = 1; i <= parts; i++) cuts.push(a + (span * i) / parts);
  }
  const y = new Float64Array(3 * (cuts.length - 1));
  for (let i = 0; i < cuts.length - 1; i++) {
    y[3 * i] = cuts[i];
    y[3 * i + 1] = (cuts[i] + cuts[i + 1]) / 2;
    y[3 * i + 2] = cuts[i + 1];
  }
  return y;
}

/** From inner to outer edge of every strip that loads it [m]. */
export interface Edges {
  readonly inner: Float64Array;
  readonly outer: Float64Array;
}

/** What one newton, spread evenly over each strip, makes of shear and moment at each place: row after row. */
export interface Operator {
  readonly strips: number;
  readonly shear: Float64Array;
  readonly moment: Float64Array;
}

export function operatorOf(y: Grid, { inner, outer }: Edges): Operator {
  const k = inner.length,
    shear = new Float64Array(y.length * k),
    moment = new Float64Array(y.length * k);
  for (let p = 0; p < y.length; p++)
    for (let j = 0; j < k; j++) {
      const b = outer[j] - y[p];
      if (!(b > 0)) continue;
      const a = Math.max(0, inner[j] - y[p]),
        length = outer[j] - inner[j];
      shear[p * k + j] = (b - a) / length;
      moment[p * k + j] = (b * b - a * a) / (2 * length);
    }
  return { strips: k, shear, moment };
}

/** One table of an operator on the strips' forces. @param add to what is there, so many times */
export function spread(table: Float64Array, forces: Float64Array, out: Float64Array, times = 1): void {
  const k = forces.length;
  for (let p = 0, row = 0; p < out.length; p++, row += k) {
    let s = 0;
    for (let j = 0; j < k; j++) s += table[row + j] * forces[j];
    out[p] += times * s;
  }
}

/** A force at one place. */
export function addPoint(
  y: Grid,
  at: number,
  force: number,
  shear: Float64Array,
  moment: Float64Array,
): void {
  for (let p = 0; p < y.length; p++)
    if (at > y[p]) {
      shear[p] += force;
      moment[p] += force * (at - y[p]);
    }
}

/** Integral of a rate from the root, at the same places. */
export function integrated(y: Grid, rate: Float64Array): Float64Array {
  const out = new Float64Array(y.length);
  let at = 0;
  for (let i = 0; i < y.length; i += 3) {
    const h = y[i + 2] - y[i],
      [a, m, b] = [rate[i], rate[i + 1], rate[i + 2]];
    out[i] = at;
    out[i + 1] = at + (h * (5 * a + 8 * m - b)) / 24;
    at = out[i + 2] = at + (h * (a + 4 * m + b)) / 6;
  }
  return out;
}

/** Deflection from a curvature M / EI, clamped at the root [m]. */
export function deflected(y: Grid, curvature: Float64Array): Float64Array {
  const out = new Float64Array(y.length);
  let w = 0,
    slope = 0;
  for (let i = 0; i < y.length; i += 3) {
    const h = y[i + 2] - y[i],
      [a, m, b] = [curvature[i], curvature[i + 1], curvature[i + 2]];
    out[i] = w;
    // a parabola through the three, integrated twice over the half and the whole
    out[i + 1] = w + (slope * h) / 2 + h * h * ((7 / 96) * a + m / 16 - b / 96);
    w = out[i + 2] = w + slope * h + (h * h * (a + 2 * m)) / 6;
    slope += (h * (a + 4 * m + b)) / 6;
  }
  return out;
}

/**
 * Dihedral of a flat wing that rolls by sideslip as the bent one does [rad]: slope weighted by the distance out,
 * ∫ z′ y dy / ∫ y dy (strip theory, even chord).
 * @param y distances out, ascending [m] @param z heights there [m]
 */
export function bentDihedral(y: readonly number[], z: readonly number[]): number {
  const last = y.length - 1,
    out = y[last] - y[0];
  let under = 0;
  for (let i = 1; i <= last; i++) under += 0.5 * (z[i] + z[i - 1] - 2 * z[0]) * (y[i] - y[i - 1]);
  return Math.atan((2 * ((z[last] - z[0]) * out - under)) / (out * out));
}
