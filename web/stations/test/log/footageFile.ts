/** Points of footage as a table that is read like any other. */

export const FOOTAGE = [
  { id: 'height_m', label: 'height [m]' },
  { id: 'airspeed_mps', label: 'airspeed [m/s]' },
  { id: 'ground_speed_mps', label: 'ground speed [m/s]' },
  { id: 'rpm', label: 'rotation [rpm]' },
  { id: 'volts', label: 'volts' },
  { id: 'amps', label: 'amps' },
] as const;

const FEWEST = 3,
  MOST = 5000;
const SPLIT = /^\s*(-?[\d.,]+)[\s;:|]+(-?[\d.,]+)\s*$/;
const number = (text: string) => Number(text.replace(',', '.'));

export type FootageFile = { status: 'ok'; file: File; count: number } | { status: 'error'; message: string };

/** @param factor of real time: footage played at half its speed shows 0.5 */
export function footageFile(text: string, what: string, factor: number): FootageFile {
  const lines = text.split(/\r?\n/).filter((l) => l.trim() !== '');
  if (lines.length < FEWEST) return { status: 'error', message: `At least ${FEWEST} points are needed.` };
  if (lines.length > MOST) return { status: 'error', message: `At most ${MOST} points.` };
  const rows: string[] = [];
  for (const [i, line] of lines.entries()) {
    const [, t, v] = SPLIT.exec(line) ?? [],
      time = number(t ?? ''),
      value = number(v ?? '');
    if (!Number.isFinite(time) || !Number.isFinite(value) || t === undefined)
      return {
        status: 'error',
        message: `Line ${i + 1}, “${line.slice(0, 40)}”, is not a time and a number.`,
      };
    rows.push(`${(time * factor).toFixed(4)},${value}`);
  }
  const name = FOOTAGE.some((f) => f.id === what) ? what : FOOTAGE[0].id;
  const file = new File([`time_s,${name}\n${rows.join('\n')}\n`], 'footage.csv', { type: 'text/csv' });
  return { status: 'ok', file, count: rows.length };
}
