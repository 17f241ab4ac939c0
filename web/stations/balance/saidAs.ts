/** Angles and shares as the panels of Balance say them. */

export const deg = (r: number, n = 1) => `${((r * 180) / Math.PI).toFixed(n)}°`;
export const pct = (v: number, n = 1) => `${(100 * v).toFixed(n)} %`;
