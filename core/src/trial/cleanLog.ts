/** Rows of a GPS log as they can be trusted: t [s], x east [m], y north [m], height [m], ground speed [m/s], volts, amps. */
import type { LogRow } from '../design';

export interface CleanLog {
  rows: LogRow[];
  remarks: string[];
}

/** Rows in order of time, duplicates and impossible values dropped, gaps told. */
export function cleanLog(rows: readonly LogRow[]): CleanLog {
  const remarks: string[] = [];
  const sane = rows.filter(
    (r) =>
      r.every(Number.isFinite) &&
      Math.abs(r[1]) < 2e4 &&
      Math.abs(r[2]) < 2e4 &&
      r[3] > -200 &&
      r[3] < 5000 &&
      r[4] >= 0 &&
      r[4] < 150,
  );
  if (sane.length < rows.length)
    remarks.push(`${rows.length - sane.length} rows held impossible values and were left out.`);
  const ordered = [...sane].sort((a, b) => a[0] - b[0]);
  if (ordered.some((r, i) => r !== sane[i]))
    remarks.push('Rows were out of order; they were sorted by time.');
  const unique = ordered.filter((r, i) => i === 0 || r[0] > ordered[i - 1][0]);
  if (unique.length < ordered.length)
    remarks.push(`${ordered.length - unique.length} rows repeated a time and were left out.`);
  const gaps = unique
    .slice(1)
    .map((r, i) => r[0] - unique[i][0])
    .sort((a, b) => a - b);
  const usual = gaps[Math.floor(gaps.length / 2)] ?? 0;
  const long = gaps.filter((g) => g > 5 * usual && g > 1);
  if (long.length)
    remarks.push(
      `${long.length} gap${long.length > 1 ? 's' : ''} of up to ${long[long.length - 1].toFixed(1)} s in the log.`,
    );
  return { rows: unique, remarks };
}
