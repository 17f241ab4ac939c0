/** Flight logs as CSV: columns found by name, units by the name's ending, size limited. */
import Papa from 'papaparse';
import type { LogRow } from '@skiametra/core/design';

export type CsvResult =
  { status: 'ok'; rows: LogRow[]; remarks: string[] } | { status: 'error'; message: string };

export const MAX_CSV_BYTES = 8_000_000;
const MAX_ROWS = 40_000;

const COLUMNS: { key: string; label: string; names: RegExp; needed: boolean; fallback: number }[] = [
  {
    key: 't',
    label: 'time',
    names: /^(t|time|seconds?|elapsed)(_?\(?(s|sec|ms)\)?)?$/,
    needed: true,
    fallback: 0,
  },
  { key: 'x', label: 'east', names: /^(x|east|easting|pos_?x)(_?m)?$/, needed: true, fallback: 0 },
  { key: 'y', label: 'north', names: /^(y|north|northing|pos_?y)(_?m)?$/, needed: true, fallback: 0 },
  {
    key: 'h',
    label: 'height',
    names: /^(h|z|height|altitude|alt|agl)(_?(m|ft))?$/,
    needed: true,
    fallback: 0,
  },
  {
    key: 'v',
    label: 'ground speed',
    names: /^(gs|v|speed|ground_?speed)(_?(mps|m\/s|kmh|km\/h))?$/,
    needed: false,
    fallback: NaN,
  },
  { key: 'u', label: 'volts', names: /^(u|volts?|voltage|vbat)(_?v)?$/, needed: true, fallback: 0 },
  { key: 'i', label: 'amps', names: /^(i|amps?|current)(_?a)?$/, needed: true, fallback: 0 },
];

const SCALES: [RegExp, number][] = [
  [/_?\(?ms\)?$/, 0.001],
  [/_?ft$/, 0.3048],
  [/_?(kmh|km\/h)$/, 1 / 3.6],
];

/** Reads a log; ground speed is worked out from positions when the column is missing. */
export function parseFlightCsv(text: string): CsvResult {
  if (text.length > MAX_CSV_BYTES)
    return {
      status: 'error',
      message: `The file is larger than ${MAX_CSV_BYTES / 1e6} MB; cut it down to the flight.`,
    };
  if (/\u0000/.test(text.slice(0, 4000))) return { status: 'error', message: 'This is not a text file.' };
  const parsed = Papa.parse<string[]>(text.trim(), {
    skipEmptyLines: true,
    comments: '#',
    preview: MAX_ROWS + 2,
  });
  const [head, ...body] = parsed.data;
  if (!head || body.length === 0) return { status: 'error', message: 'The file holds no rows.' };
  if (body.length > MAX_ROWS)
    return {
      status: 'error',
      message: `The file holds more than ${MAX_ROWS} rows; cut it down to the flight.`,
    };
  const names = head.map((h) => h.trim().toLowerCase().replace(/\s+/g, '_').slice(0, 40));
  const at = COLUMNS.map((c) => names.findIndex((n) => c.names.test(n)));
  const missing = COLUMNS.filter((c, i) => c.needed && at[i]! < 0);
  if (missing.length)
    return {
      status: 'error',
      message: `Column${missing.length > 1 ? 's' : ''} missing: ${missing.map((c) => c.label).join(', ')}. The first line must name time, east, north, height, ground speed, volts and amps.`,
    };
  const scale = at.map((k) => (k < 0 ? 1 : (SCALES.find(([re]) => re.test(names[k]!))?.[1] ?? 1)));
  let bad = 0;
  const rows = body.flatMap((cells) => {
    const r = at.map((k, i) =>
      k < 0
        ? COLUMNS[i]!.fallback
        : cells[k] === undefined || cells[k].trim() === ''
          ? NaN
          : Number(cells[k]) * scale[i]!,
    ) as LogRow;
    if (at.some((k, i) => k >= 0 && !Number.isFinite(r[i]))) {
      bad++;
      return [];
    }
    return [r];
  });
  if (rows.length < 10)
    return {
      status: 'error',
      message: `Only ${rows.length} of ${body.length} rows hold numbers in every column; nothing was taken.`,
    };
  const remarks = bad ? [`${bad} of ${body.length} rows could not be read and were left out.`] : [];
  if (at[4]! < 0) {
    rows.forEach((r, i) => {
      const p = rows[Math.max(0, i - 1)]!;
      r[4] = r[0] > p[0] ? Math.hypot(r[1] - p[1], r[2] - p[2]) / (r[0] - p[0]) : 0;
    });
    remarks.push('Ground speed was worked out from the positions.');
  }
  return { status: 'ok', rows, remarks };
}
