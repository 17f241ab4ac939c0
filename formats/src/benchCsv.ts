/** Thrust-stand logs and propeller tables as CSV: columns found by name, units by the name's ending, size limited. */
import Papa from 'papaparse';
import type { BenchRow } from '@skiametra/core/design';

export type BenchCsvResult =
  { status: 'ok'; rows: BenchRow[]; remarks: string[] } | { status: 'error'; message: string };
export type CoefficientCsvResult =
  | { status: 'ok'; rows: { J: number; CT: number; CP: number }[]; remarks: string[] }
  | { status: 'error'; message: string };

export const MAX_BENCH_BYTES = 2_000_000;
const MAX_ROWS = 6000;
const G0 = 9.80665;

interface Column {
  label: string;
  names: RegExp;
  needed: boolean;
  scales: [RegExp, number][];
  offset?: [RegExp, number][];
}

const COLUMNS: Column[] = [
  { label: 'time', names: /^(t|time)(_?\(?(s|ms)\)?)?$/, needed: false, scales: [[/ms\)?$/, 0.001]] },
  {
    label: 'throttle',
    names: /^throttle(_?\(?(%|pct|percent|us)\)?)?$/,
    needed: true,
    scales: [[/(%|pct|percent)\)?$/, 0.01]],
  },
  { label: 'volts', names: /^(v|u|volts?|voltage)(_?v)?$/, needed: true, scales: [] },
  { label: 'amps', names: /^(a|i|amps?|current)(_?a)?$/, needed: true, scales: [] },
  {
    label: 'thrust',
    names: /^(thrust|pull|force)(_?\(?(n|g|gf|kg|kgf|lbf?|ozf?)\)?)?$/,
    needed: true,
    scales: [
      [/_?\(?(kg|kgf)\)?$/, G0],
      [/[_(](g|gf)\)?$/, G0 / 1000],
      [/[_(](lb|lbf)\)?$/, 4.4482216152605],
      [/[_(](oz|ozf)\)?$/, 0.27801385095378],
    ],
  },
  { label: 'rpm', names: /^(rpm|speed_rpm|rotation)$/, needed: true, scales: [[/.*/, Math.PI / 30]] },
  { label: 'temperature', names: /^(temp|temperature|case)(_?\(?(c|k|f)\)?)?$/, needed: false, scales: [] },
];

function readTable(
  text: string,
  bytes: number,
  what: string,
): { status: 'ok'; head: string[]; body: string[][] } | { status: 'error'; message: string } {
  if (text.length > bytes)
    return { status: 'error', message: `The file is larger than ${bytes / 1e6} MB; cut it down to ${what}.` };
  if (/\u0000/.test(text.slice(0, 4000))) return { status: 'error', message: 'This is not a text file.' };
  const [head, ...body] = Papa.parse<string[]>(text.trim(), {
    skipEmptyLines: true,
    comments: '#',
    preview: MAX_ROWS + 2,
  }).data;
  if (!head || body.length === 0) return { status: 'error', message: 'The file holds no rows.' };
  if (body.length > MAX_ROWS)
    return { status: 'error', message: `The file holds more than ${MAX_ROWS} rows; cut it down to ${what}.` };
  return {
    status: 'ok',
    head: head.map((h) => h.trim().toLowerCase().replace(/\s+/g, '_').slice(0, 40)),
    body,
  };
}

/**
 * A stand's log or a table typed in a spreadsheet. Throttle in percent when any value passes 1. Thrust in newtons unless
 * the column says otherwise.
 */
export function parseBenchCsv(text: string): BenchCsvResult {
  const t = readTable(text, MAX_BENCH_BYTES, 'the run');
  if (t.status === 'error') return t;
  const at = COLUMNS.map((c) => t.head.findIndex((n) => c.names.test(n)));
  const missing = COLUMNS.filter((c, i) => c.needed && at[i]! < 0);
  if (missing.length)
    return {
      status: 'error',
      message: `Column${missing.length > 1 ? 's' : ''} missing: ${missing.map((c) => c.label).join(', ')}. The first line must name throttle, volts, amps, thrust (thrust_g for grams) and rpm; time and temperature if known.`,
    };
  const scale = at.map((k, i) =>
    k < 0 ? 1 : (COLUMNS[i]!.scales.find(([re]) => re.test(t.head[k]!))?.[1] ?? 1),
  );
  // empty where there is no such column
  const warmHead = t.head[at[6] ?? -1] ?? '',
    kelvin = /k\)?$/.test(warmHead.replace(/^case$/, '')),
    fahrenheit = /_?\(?f\)?$/.test(warmHead);
  const numbers = t.body.map((cells) =>
    at.map((k, i) =>
      k < 0 || cells[k] === undefined || cells[k].trim() === '' ? NaN : Number(cells[k]) * scale[i]!,
    ),
  );
  const percent = scale[1] === 1 && numbers.some((r) => r[1]! > 1.0001);
  let bad = 0;
  const rows = numbers.flatMap((r, i): BenchRow[] => {
    const [time = NaN, stick = NaN, volts = NaN, amps = NaN, thrust = NaN, omega = NaN, heat = NaN] = r;
    const throttle = stick / (percent ? 100 : 1),
      warm = fahrenheit ? ((heat - 32) * 5) / 9 + 273.15 : kelvin ? heat : heat + 273.15;
    const row: BenchRow = [
      Number.isFinite(time) ? time : i,
      throttle,
      volts,
      amps,
      thrust,
      omega,
      Number.isFinite(warm) ? warm : null,
    ];
    if (
      !row.slice(0, 6).every((x) => Number.isFinite(x)) ||
      throttle < 0 ||
      throttle > 1.0001 ||
      r[2]! < 0 ||
      r[2]! > 200 ||
      Math.abs(r[3]!) > 1000 ||
      Math.abs(r[4]!) > 5000 ||
      r[5]! < 0 ||
      r[5]! > 10000 ||
      (row[6] !== null && !(row[6] >= 200 && row[6] <= 600))
    ) {
      bad++;
      return [];
    }
    row[1] = Math.min(1, throttle);
    row[3] = Math.max(-50, r[3]!);
    return [row];
  });
  if (rows.length < 2)
    return {
      status: 'error',
      message: `Only ${rows.length} of ${t.body.length} rows hold sensible numbers in every column; nothing was taken.`,
    };
  const remarks = bad ? [`${bad} of ${t.body.length} rows could not be read and were left out.`] : [];
  if (percent) remarks.push('Throttle was read as percent.');
  return { status: 'ok', rows, remarks };
}

/** Coefficients of a propeller by advance ratio: columns J, CT, CP. */
export function parseCoefficientCsv(text: string): CoefficientCsvResult {
  const t = readTable(text, 200_000, 'one propeller');
  if (t.status === 'error') return t;
  const at = ['j', 'ct', 'cp'].map((n) => t.head.indexOf(n));
  if (at.some((k) => k < 0))
    return {
      status: 'error',
      message: 'The first line must name J, CT and CP (T = CT ρ n² D⁴, P = CP ρ n³ D⁵, J = V / (n D)).',
    };
  let bad = 0;
  const seen = new Set<number>();
  const rows = t.body
    .flatMap((cells) => {
      const [J = NaN, CT = NaN, CP = NaN] = at.map((k) =>
        cells[k] === undefined || cells[k].trim() === '' ? NaN : Number(cells[k]),
      );
      if (!(J >= 0 && J <= 5 && Math.abs(CT) <= 2 && CP >= -2 && CP <= 5) || seen.has(J)) {
        bad++;
        return [];
      }
      seen.add(J);
      return [{ J, CT, CP }];
    })
    .sort((a, b) => a.J - b.J)
    .slice(0, 200);
  if (rows.length < 2)
    return {
      status: 'error',
      message: `Only ${rows.length} of ${t.body.length} rows hold three sensible numbers; two are needed at least.`,
    };
  if (!rows.some((r) => r.CT > 0))
    return { status: 'error', message: 'Nowhere in the table is there thrust (CT above zero).' };
  return {
    status: 'ok',
    rows,
    remarks: bad
      ? [
          `${bad} of ${t.body.length} rows were left out (not numbers, out of range, or an advance ratio twice).`,
        ]
      : [],
  };
}

/** A run as CSV, the same columns back. */
export function writeBenchCsv(rows: readonly BenchRow[]): string {
  return `time_s,throttle,volts,amps,thrust_n,rpm,temperature_c\n${rows.map((r) => [r[0], r[1], r[2], r[3], r[4], Number(((r[5] * 30) / Math.PI).toFixed(1)), r[6] === null ? '' : Number((r[6] - 273.15).toFixed(1))].join(',')).join('\n')}\n`;
}
