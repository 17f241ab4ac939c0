/** Measured polars as CSV: columns alpha (degrees), cl, cd in any order, with a header; angle and drag may be missing. */
import Papa from 'papaparse';

export interface PolarCsvPoint {
  /** [rad] */ alpha: number | null;
  cl: number;
  cd: number | null;
}
export type PolarCsvResult =
  | { status: 'ok'; points: PolarCsvPoint[]; reynolds: number | null; skipped: number }
  | { status: 'error'; message: string };

const MAX_BYTES = 200_000,
  MAX_POINTS = 300;
const NAMES: Record<string, 'alpha' | 'cl' | 'cd' | 're'> = {
  alpha: 'alpha',
  angle: 'alpha',
  a: 'alpha',
  aoa: 'alpha',
  cl: 'cl',
  lift: 'cl',
  cd: 'cd',
  drag: 'cd',
  re: 're',
  reynolds: 're',
};

export function parsePolarCsv(text: string): PolarCsvResult {
  if (text.length > MAX_BYTES)
    return { status: 'error', message: 'The file is larger than 200 kB; a polar has a few dozen lines.' };
  const r = Papa.parse<Record<string, string>>(text.trim(), {
    header: true,
    skipEmptyLines: 'greedy',
    delimitersToGuess: [',', ';', '\t', ' '],
    transformHeader: (h) =>
      NAMES[
        h
          .toLowerCase()
          .replace(/[^a-z]/g, '')
          .replace(/deg(rees)?$/, '')
      ] ?? h,
  });
  const fields = r.meta.fields ?? [];
  if (!fields.includes('cl'))
    return {
      status: 'error',
      message: 'The first line must name the columns, “cl” among them (and “alpha”, “cd” where measured).',
    };
  if (!fields.includes('alpha') && !fields.includes('cd'))
    return { status: 'error', message: 'Besides “cl” there must be a column “alpha” or “cd”.' };
  const number = (t: string | undefined) =>
    t === undefined || t.trim() === '' ? NaN : Number(t.trim().replace(',', '.'));
  const points: PolarCsvPoint[] = [];
  let skipped = 0,
    reynolds: number | null = null;
  for (const row of r.data) {
    const a = (number(row.alpha) * Math.PI) / 180,
      cl = number(row.cl),
      cd = number(row.cd),
      re = number(row.re);
    if (Number.isFinite(re) && re >= 1e3 && re <= 1e8) reynolds ??= re;
    const alpha = Math.abs(a) < 1.6 ? a : null,
      drag = cd >= 0 && cd <= 3 ? cd : null;
    if (!(Math.abs(cl) <= 4) || (alpha === null && drag === null)) {
      skipped++;
      continue;
    }
    points.push({ alpha, cl, cd: drag });
    if (points.length > MAX_POINTS)
      return { status: 'error', message: `The file holds more than ${MAX_POINTS} points.` };
  }
  return points.length === 0
    ? { status: 'error', message: 'No line holds a lift coefficient with an angle or a drag.' }
    : { status: 'ok', points, reynolds, skipped };
}
