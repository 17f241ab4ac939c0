/**
 * Section coordinate files: Selig order (upper trailing edge round to lower) and Lednicer order
 * (two counts, then upper and lower from the nose). Text in, points out; nothing is trusted.
 */
export type DatResult =
  | { status: 'ok'; name: string; points: [number, number][]; form: 'selig' | 'lednicer' }
  | { status: 'error'; message: string };

export const MAX_DAT_BYTES = 200_000;
const MAX_POINTS = 1000;

export function parseDat(text: string, fallbackName = 'Imported section'): DatResult {
  if (text.length > MAX_DAT_BYTES)
    return {
      status: 'error',
      message: 'The file is larger than 200 kB; a section file has a few hundred lines.',
    };
  const lines = text
    .split(/\r\n|\r|\n/)
    .map((l) => l.trim())
    .filter((l) => l !== '' && !l.startsWith('#'));
  if (lines.length === 0) return { status: 'error', message: 'The file is empty.' };
  const pair = (l: string) => {
    const parts = l.split(/[\s,;]+/);
    return parts.length === 2 && parts.every((p) => p !== '' && Number.isFinite(Number(p)))
      ? ([Number(parts[0]), Number(parts[1])] as [number, number])
      : null;
  };
  const named = pair(lines[0]!) === null;
  const name = named
    ? lines[0]!
        .replace(/[^\p{L}\p{N} .,_()/+-]/gu, '')
        .slice(0, 80)
        .trim() || fallbackName
    : fallbackName;
  const body = named ? lines.slice(1) : lines;
  const points: [number, number][] = [];
  for (const [i, l] of body.entries()) {
    const p = pair(l);
    if (!p)
      return {
        status: 'error',
        message: `Line ${i + (named ? 2 : 1)} is not a pair of numbers: “${l.slice(0, 40)}”.`,
      };
    points.push(p);
    if (points.length > MAX_POINTS)
      return { status: 'error', message: 'The file holds more than 1000 points.' };
  }
  const first = points[0];
  if (first && first[0] > 1.5 && first[1] > 1.5 && Number.isInteger(Math.round(first[0]))) {
    const [nu = 0, nl = 0] = first.map(Math.round);
    const rest = points.slice(1);
    if (rest.length !== nu + nl)
      return {
        status: 'error',
        message: `The file announces ${nu} and ${nl} points but holds ${rest.length}.`,
      };
    const selig = [...rest.slice(0, nu).reverse(), ...rest.slice(nu + (same(rest[0]!, rest[nu]!) ? 1 : 0))];
    return selig.length < 10 ? tooFew(selig.length) : { status: 'ok', name, points: selig, form: 'lednicer' };
  }
  if (points.length < 10) return tooFew(points.length);
  const far = points.find((p) => Math.abs(p[0]) > 1.5 || Math.abs(p[1]) > 1);
  if (far) return scaleDown(points, name);
  return { status: 'ok', name, points, form: 'selig' };
}

const same = (a: [number, number], b: [number, number]) => a[0] === b[0] && a[1] === b[1];
const tooFew = (n: number): DatResult => ({
  status: 'error',
  message: `The file holds ${n} points; a section needs at least 10.`,
});

/** Coordinates given in millimetres or per cent of the chord are brought to chord 1. */
function scaleDown(points: [number, number][], name: string): DatResult {
  const xs = points.map((p) => p[0]);
  const lo = Math.min(...xs),
    chord = Math.max(...xs) - lo;
  if (!(chord > 0 && chord < 1e5))
    return { status: 'error', message: 'The coordinates do not span a chord.' };
  return {
    status: 'ok',
    name,
    points: points.map((p) => [(p[0] - lo) / chord, p[1] / chord]),
    form: 'selig',
  };
}

/** Points as a Selig file. */
export function writeDat(name: string, points: readonly (readonly [number, number])[]): string {
  return `${name}\n${points.map(([x, y]) => `${x.toFixed(6).padStart(10)} ${y.toFixed(6).padStart(10)}`).join('\n')}\n`;
}
