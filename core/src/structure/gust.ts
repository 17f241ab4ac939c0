/**
 * Load factor of an upward gust, n = 1 + K rho V U a / (2 W/S), K = 0.88 mu / (5.3 + mu), mu = 2 (W/S) / (rho c a g).
 * Source: 14 CFR 23.341 (published civil rule, from memory); W/S in N/m2. The civil gust of 15 m/s means nothing to a small
 * aircraft: the site has its own.
 */
import { G0 } from '../air';

/** Share of the mean wind that a gust has, and the least that is reckoned with [m/s]. Common practice, no source. */
export const GUST_OF_WIND = 0.6;
const LEAST = 3;

/** Vertical gust of a place [m/s]: as typed, else by its wind. */
export function siteGust(site: { wind: number; gust?: number | undefined }): number {
  return site.gust ?? Math.max(LEAST, GUST_OF_WIND * site.wind);
}

export interface GustInput {
  /** W/S [N/m2] */ readonly loading: number;
  /** [kg/m3] */ readonly density: number;
  /** mean chord [m] */ readonly chord: number;
  /** lift slope [1/rad] */ readonly slope: number;
}

/** K: what of a sharp gust the aircraft feels, since it heaves with it. */
export function alleviation({ loading, density, chord, slope }: GustInput): number {
  const mu = (2 * loading) / (density * chord * slope * G0);
  return (0.88 * mu) / (5.3 + mu);
}

/** What a gust adds to the load factor; down as much as up. @param speed, @param gust [m/s] */
export function gustStep(of: GustInput, speed: number, gust: number): number {
  return (alleviation(of) * of.density * speed * gust * of.slope) / (2 * of.loading);
}
