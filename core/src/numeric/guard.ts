/** Argument guards. Every guard is written so that NaN fails. */

export type DomainCode =
  'out-of-range' | 'not-finite' | 'bad-shape' | 'unknown-name' | 'singular' | 'no-flow';

/** A bad argument. The sentence for people is made elsewhere from `code` and `fields`; `message` is for developers. */
export class DomainError extends Error {
  constructor(
    readonly code: DomainCode,
    message: string,
    readonly fields: Record<string, unknown> = {},
  ) {
    super(message);
    this.name = 'DomainError';
  }
}

/** Throws DomainError `out-of-range` unless lo <= x <= hi (NaN throws). */
export function requireInRange(name: string, x: number, lo: number, hi: number, unit = ''): void {
  if (!(x >= lo && x <= hi)) {
    throw new DomainError('out-of-range', `${name} = ${x} ${unit} is outside ${lo} to ${hi} ${unit}`, {
      name,
      x,
      lo,
      hi,
      unit,
    });
  }
}

/** Throws DomainError `out-of-range` unless x > 0 and finite (NaN throws). */
export function requirePositive(name: string, x: number, unit = ''): void {
  if (!(x > 0 && x < Infinity)) {
    throw new DomainError('out-of-range', `${name} = ${x} ${unit} must be above zero`, { name, x, unit });
  }
}

/** Confines x to [lo, hi]. */
export function clamp(x: number, lo: number, hi: number): number {
  return x < lo ? lo : x > hi ? hi : x;
}

/** Two figures that a person would call the same: to a millionth. */
export function nearlySame(a: number, b: number): boolean {
  return Math.abs(a - b) < 1e-6 * Math.max(1, Math.abs(a));
}
