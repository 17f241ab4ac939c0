/** Which way it flies, without jumps of a round, and how fast that turns. */
import type { Motion } from './motion';
import type { WindFit } from './wind';

/** Heading through the air where the wind is known, else over ground: without jumps of a round [rad]. */
export function headings(
  { east, north }: Motion,
  wind: Pick<WindFit, 'east' | 'north'> | null,
): Float64Array {
  const we = wind?.east ?? 0,
    wn = wind?.north ?? 0,
    out = new Float64Array(east.length);
  let last = NaN,
    rounds = 0;
  for (let i = 0; i < out.length; i++) {
    const now = Math.atan2(east[i] - we, north[i] - wn);
    if (Number.isFinite(now) && Number.isFinite(last)) rounds -= Math.round((now - last) / (2 * Math.PI));
    if (Number.isFinite(now)) last = now;
    out[i] = Number.isFinite(now) ? now + 2 * Math.PI * rounds : NaN;
  }
  return out;
}

/** A rate is taken over so long to both sides [s], and over the next row at least. */
const RATE_OVER = 0.8,
  NEXT_ROW = 1.01;
export const rateOver = ({ step }: Motion) => Math.max(RATE_OVER, NEXT_ROW * step);

/** Change of a heading over so many seconds to both sides, per second. */
export function ratesOf(t: Float64Array, heading: Float64Array, half: number): Float64Array {
  const out = new Float64Array(t.length).fill(NaN);
  let a = 0,
    b = 0;
  for (let i = 0; i < t.length; i++) {
    while (t[a] < t[i] - half) a++;
    while (b + 1 < t.length && t[b + 1] <= t[i] + half) b++;
    if (b > a) out[i] = (heading[b] - heading[a]) / (t[b] - t[a]);
  }
  return out;
}

/** Turn of the heading through the air at every fix [rad/s]. @param wind null: over ground */
export const turnRates = (m: Motion, wind: Pick<WindFit, 'east' | 'north'> | null): Float64Array =>
  ratesOf(m.t, headings(m, wind), rateOver(m));
