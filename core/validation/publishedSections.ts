/**
 * Largest lift and least drag of smooth sections, published over computed, for the priors of the section factors.
 * Abbott and von Doenhoff, Theory of Wing Sections, appendix IV; E387: McGhee, Walker and Millard, NASA TM-4062. Values from
 * memory, reading error some 3 %. Ordered by name, so that every other row is a fair half.
 */
export interface PublishedRow {
  name: string;
  reynolds: number;
  clMax: number | null;
  /** drag at a lift coefficient; least drag where that is null */ cd: number | null;
  at: number | null;
}

const row = (
  name: string,
  reynolds: number,
  clMax: number | null,
  cd: number | null,
  at: number | null = null,
) => ({ name, reynolds, clMax, cd, at }) satisfies PublishedRow;

export const PUBLISHED: readonly PublishedRow[] = [
  row('0006', 3e6, 0.9, null),
  row('0006', 6e6, 0.92, null),
  row('0009', 3e6, 1.25, 0.0058),
  row('0009', 6e6, 1.32, 0.0054),
  row('0012', 3e6, 1.5, 0.006),
  row('0012', 6e6, 1.58, 0.0058),
  row('1408', 6e6, 1.35, 0.0052),
  row('1412', 6e6, 1.58, 0.0058),
  row('23012', 6e6, 1.79, 0.006),
  row('23015', 6e6, 1.72, 0.0064),
  row('2412', 3e6, 1.6, 0.0062),
  row('2412', 6e6, 1.68, 0.006),
  row('2415', 6e6, 1.63, 0.0064),
  row('2418', 6e6, 1.47, 0.0068),
  row('4412', 3e6, 1.55, 0.0062),
  row('4412', 6e6, 1.67, 0.006),
  row('4415', 6e6, 1.64, 0.0064),
  row('4418', 6e6, 1.53, 0.0068),
  row('E387', 2e5, 1.2, 0.0098, 0.4),
  row('E387', 4.6e5, 1.25, 0.0071, 0.4),
  row('E387', 2e5, null, 0.0108, 0.6),
  row('E387', 4.6e5, null, 0.0076, 0.6),
  row('E387', 2e5, null, 0.0122, 0.8),
  row('E387', 4.6e5, null, 0.0083, 0.8),
  row('E387', 2e5, null, 0.0132, 1.0),
  row('E387', 4.6e5, null, 0.0093, 1.0),
];
