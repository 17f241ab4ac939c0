/** How people write numbers and units, brought to one form before the reader sees them. */

/** What a lone comma before three figures means to a person. */
export type Comma = 'decimal' | 'thousands';

/** A comma before exactly three figures, and nothing else that tells what it is: `1,234`. */
export function commaIsOpen(text: string): boolean {
  return /(?<![\d.,])\d{1,3},\d{3}(?![\d.,])/.test(text);
}

/** Commas that can only be thousands go; `1.234,5` has its point for thousands. */
export function plainFigures(text: string, comma: Comma | null): string {
  return text
    .replace(/(?<![\d.,])\d{1,3}(?:,\d{3}){2,}(?:\.\d+)?(?![\d,])/g, (m) => m.replaceAll(',', ''))
    .replace(/(?<![\d.,])\d{1,3},\d{3}\.\d+/g, (m) => m.replaceAll(',', ''))
    .replace(/(?<![\d.,])\d{1,3}(?:\.\d{3})+,\d+(?![\d.])/g, (m) => m.replaceAll('.', ''))
    .replace(/(?<![\d.,])\d{1,3},\d{3}(?![\d.,])/g, (m) =>
      comma === 'thousands' ? m.replace(',', '') : m.replace(',', '.'),
    );
}

const WEIGHTS: Record<string, string> = { o: 'ozf', l: 'lbf', p: 'lbf', k: 'kgf', g: 'gf', n: 'N' };
const ARMS: Record<string, string> = { i: 'in', f: 'ft', c: 'cm' };
const WEIGHT = '(?:ozf?|ounces?|lbf?|lbs|pounds?|kgf?|gf)',
  ARM = '(?:inch(?:es)?|in|ft|feet|foot|cm)',
  JOIN = '\\s*[-·.*⋅]?\\s*';
const TORQUE = new RegExp(
  `(?<![A-Za-z])(?:(${WEIGHT})${JOIN}(${ARM})|(${ARM})${JOIN}(${WEIGHT}))(?![A-Za-z²³^])`,
  'gi',
);

/** `oz-in`, `in oz`, `inch-ounces`, `kg.cm`: a weight times an arm, whichever comes first. */
export function plainTorque(text: string): string {
  return text.replace(TORQUE, (m, w1?: string, a1?: string, a2?: string, w2?: string) => {
    const weight = (w1 ?? w2)!,
      arm = (a1 ?? a2)!;
    // a length and a mass side by side with a number between them are no torque; the pattern holds no number
    return `${WEIGHTS[weight[0].toLowerCase()]}·${ARMS[arm[0].toLowerCase()]}`;
  });
}

/**
 * `6:18` is minutes and seconds, `1:02:03` hours, minutes and seconds; on a clock `6:18` is hours and minutes.
 * @returns seconds; null where it is no such time
 */
export function clockTime(text: string, clock: boolean): number | null {
  const m = /^(\d{1,4}):([0-5]\d)(?::([0-5]\d))?(?:[.,](\d+))?$/.exec(text.trim());
  if (!m) return null;
  const [a, b] = [Number(m[1]), Number(m[2])],
    c = m[3] === undefined ? null : Number(m[3]),
    rest = m[4] ? Number(`0.${m[4]}`) : 0;
  if (c !== null) return a * 3600 + b * 60 + c + rest;
  return clock ? a * 3600 + b * 60 : a * 60 + b + rest;
}
