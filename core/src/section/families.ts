/**
 * Section families from formulas. All give a closed trailing edge and chord 1.
 * Sources: Abbott and von Doenhoff, Theory of Wing Sections, chapter 6 and appendix I (4-digit, 5-digit); Stack and
 * von Doenhoff, NACA Report 492, 1934 (modified 4-digit); Kulfan, Journal of Aircraft 45(1), 2008 (class-shape
 * sections). Constants from memory, checked against listed ordinates in `core/validation`.
 */
import { DomainError } from '../numeric';
import { repanel, type Contour } from './contour';

/** Height and slope of a camber line. */
interface Line {
  y: number;
  slope: number;
}
const FINE = 241;

/** An outline from a camber line and a half thickness laid off at right angles to it. */
function lay(camber: (x: number) => Line, half: (x: number) => number, n: number): Contour {
  const middle = (FINE - 1) / 2;
  const raw: [number, number][] = [];
  for (let i = 0; i < FINE; i++) {
    const x = 0.5 * (1 + Math.cos((Math.PI * i) / middle));
    const c = camber(x),
      t = half(x),
      th = Math.atan(c.slope),
      s = i <= middle ? 1 : -1;
    raw.push([x - s * t * Math.sin(th), c.y + s * t * Math.cos(th)]);
  }
  return repanel(raw, n);
}

/** Eq. 6.2; the last coefficient is -0.1036 in place of -0.1015 to close the edge (common practice). */
function halfThickness(t: number): (x: number) => number {
  return (x) =>
    5 * t * (0.2969 * Math.sqrt(x) - 0.126 * x - 0.3516 * x * x + 0.2843 * x ** 3 - 0.1036 * x ** 4);
}

/** Eq. 6.4. */
function camber4(m: number, p: number): (x: number) => Line {
  if (m === 0) return () => ({ y: 0, slope: 0 });
  return (x) =>
    x < p
      ? { y: (m / (p * p)) * (2 * p * x - x * x), slope: ((2 * m) / (p * p)) * (p - x) }
      : {
          y: (m / (1 - p) ** 2) * (1 - 2 * p + 2 * p * x - x * x),
          slope: ((2 * m) / (1 - p) ** 2) * (p - x),
        };
}

function thicknessOf(two: string, digits: string): number {
  const t = Number(two) / 100;
  if (!(t >= 0.03 && t <= 0.3))
    throw new DomainError('out-of-range', 'thickness must be 03 to 30 % of the chord', { digits });
  return t;
}
function camberOf(digits: string): (x: number) => Line {
  const m = Number(digits[0]) / 100,
    p = Number(digits[1]) / 10;
  if (m > 0 && !(p >= 0.1))
    throw new DomainError('out-of-range', 'a cambered section needs a place of camber of 1 to 9 tenths', {
      digits,
    });
  return camber4(m, p);
}

/**
 * NACA 4-digit section.
 * @param digits four digits: camber %, its place in tenths, thickness % (03 to 30)
 * @param n points, 41 to 401
 */
export function naca4(digits: string, n = 160): Contour {
  if (!/^\d{4}$/.test(digits))
    throw new DomainError('bad-shape', 'a NACA 4-digit name has four digits', { digits });
  return lay(camberOf(digits), halfThickness(thicknessOf(digits.slice(2), digits)), n);
}

/**
 * Modified NACA 4-digit section, such as `2412-63`.
 * @param digits the four digits; @param nose nose index 0 to 9 (6 the ordinary radius, 0 sharp); @param at tenths of
 * the largest thickness, 2 to 6
 */
export function naca4Modified(digits: string, nose: number, at: number, n = 160): Contour {
  if (!/^\d{4}$/.test(digits))
    throw new DomainError('bad-shape', 'a NACA 4-digit name has four digits', { digits });
  if (!(Number.isInteger(nose) && nose >= 0 && nose <= 9 && Number.isInteger(at) && at >= 2 && at <= 6))
    throw new DomainError(
      'out-of-range',
      'the digits after the dash are a nose index of 0 to 9 and a place of thickness of 2 to 6 tenths',
      { nose, at },
    );
  const t = thicknessOf(digits.slice(2), digits);
  const m = at / 10,
    a0 = nose === 9 ? 0.2969 * Math.sqrt(3) : (0.2969 * nose) / 6;
  const d1 = [0.2, 0.234, 0.315, 0.465, 0.7][at - 2],
    r = 1 - m;
  // the edge thickness is left out, so the aft part is fitted to half thickness 0.1 and a level top at m
  const d2 = (0.3 - 2 * r * d1) / (r * r),
    d3 = (-0.2 + r * d1) / (r * r * r);
  const bend = 2 * d2 + 6 * d3 * r; // second derivative at m, kept by the fore part
  const s = Math.sqrt(m);
  // a0 sqrt x + a1 x + a2 x^2 + a3 x^3: height 0.1, slope 0 and the same bend at m
  const y = 0.1 - a0 * s,
    dy = -a0 / (2 * s),
    ddy = bend + a0 / (4 * m * s);
  const a3 = (y - dy * m + 0.5 * ddy * m * m) / m ** 3,
    a2 = 0.5 * (ddy - 6 * a3 * m),
    a1 = dy - 2 * a2 * m - 3 * a3 * m * m;
  return lay(
    camberOf(digits),
    (x) =>
      5 *
      t *
      (x < m
        ? a0 * Math.sqrt(x) + a1 * x + a2 * x * x + a3 * x ** 3
        : d1 * (1 - x) + d2 * (1 - x) ** 2 + d3 * (1 - x) ** 3),
    n,
  );
}

/** Table of 5-digit camber lines: end of the cubic m, k1, and for reflexed ones k2 / k1; at a design lift of 0.3. */
const FIVE: Record<string, [m: number, k1: number, ratio?: number]> = {
  10: [0.058, 361.4],
  20: [0.126, 51.64],
  30: [0.2025, 15.957],
  40: [0.29, 6.643],
  50: [0.391, 3.23],
  21: [0.13, 51.99, 0.000764],
  31: [0.217, 15.793, 0.00677],
  41: [0.318, 6.52, 0.0303],
  51: [0.441, 3.191, 0.1355],
};

/**
 * NACA 5-digit section: `23012`; a third digit of 1 gives a reflexed camber line, `23112`.
 * @param digits design lift in 20/3 of the first digit per hundred, place of camber in twentieths, 0 plain or 1
 * reflexed, thickness %
 */
export function naca5(digits: string, n = 160): Contour {
  const row = /^[1-6]\d[01]\d\d$/.test(digits) ? FIVE[digits.slice(1, 3)] : undefined;
  if (!row)
    throw new DomainError(
      'bad-shape',
      'a NACA 5-digit name is like 23012, or 23112 for a reflexed line; the second digit is 1 to 5 (2 to 5 when reflexed)',
      { digits },
    );
  const [m, k1, ratio] = row,
    f = (Number(digits[0]) * 0.15) / 0.3,
    k = (k1 * f) / 6;
  const q = m ** 3,
    rest = (1 - m) ** 3;
  const line = (x: number): Line => {
    if (ratio === undefined)
      return x < m
        ? {
            y: k * (x ** 3 - 3 * m * x * x + m * m * (3 - m) * x),
            slope: k * (3 * x * x - 6 * m * x + m * m * (3 - m)),
          }
        : { y: k * q * (1 - x), slope: -k * q };
    return x < m
      ? {
          y: k * ((x - m) ** 3 - ratio * rest * x - q * x + q),
          slope: k * (3 * (x - m) ** 2 - ratio * rest - q),
        }
      : {
          y: k * (ratio * (x - m) ** 3 - ratio * rest * x - q * x + q),
          slope: k * (3 * ratio * (x - m) ** 2 - ratio * rest - q),
        };
  };
  return lay(line, halfThickness(thicknessOf(digits.slice(3), digits)), n);
}

/**
 * Class-shape section: y = sqrt(x) (1 - x) times a Bernstein polynomial, a face each.
 * @param upper, lower two to ten weights each; the first sets the nose radius (w^2 / 2), upper positive, lower usually negative
 */
export function classShape(upper: readonly number[], lower: readonly number[], n = 160): Contour {
  for (const w of [upper, lower])
    if (!(w.length >= 2 && w.length <= 10 && w.every((v) => Math.abs(v) <= 2)))
      throw new DomainError('out-of-range', 'a class-shape face has 2 to 10 weights of at most 2', {
        count: w.length,
      });
  const face = (w: readonly number[], x: number): number => {
    const k = w.length - 1;
    let sum = 0,
      binomial = 1;
    for (let i = 0; i <= k; i++) {
      sum += w[i] * binomial * x ** i * (1 - x) ** (k - i);
      binomial = (binomial * (k - i)) / (i + 1);
    }
    return Math.sqrt(x) * (1 - x) * sum;
  };
  for (let i = 1; i < 100; i++)
    if (!(face(upper, i / 100) > face(lower, i / 100)))
      throw new DomainError('bad-shape', 'the upper face lies below the lower one', { x: i / 100 });
  const middle = (FINE - 1) / 2;
  const raw = Array.from({ length: FINE }, (_, i): [number, number] => {
    const x = 0.5 * (1 + Math.cos((Math.PI * i) / middle));
    return [x, face(i <= middle ? upper : lower, x)];
  });
  return repanel(raw, n);
}

/**
 * A thin plate bent along a camber line, with a rounded nose and an edge that tapers over its last tenth.
 * @param line camber line over x 0 to 1 @param thickness / chord, 0.002 to 0.1
 */
export function bentPlate(line: (x: number) => Line, thickness: number, n = 160): Contour {
  const r = thickness / 2;
  const half = (x: number) => {
    const front = x < r ? Math.sqrt(Math.max(0, 2 * r * x - x * x)) : r;
    return front * Math.min(1, (1 - x) / 0.1);
  };
  return lay(line, half, n);
}

/** Camber line of a circular arc (parabola) of a given rise, its top at `at`. */
export function arcLine(camber: number, at = 0.5): (x: number) => Line {
  return camber4(camber, at);
}

/** Camber line through corners, straight in between: a folded sheet. Corners ascending in x, from 0 to 1. */
export function foldLine(corners: readonly (readonly [number, number])[]): (x: number) => Line {
  return (x) => {
    let i = 0;
    while (i < corners.length - 2 && corners[i + 1][0] < x) i++;
    const [x0, y0] = corners[i],
      [x1, y1] = corners[i + 1],
      slope = (y1 - y0) / (x1 - x0);
    return { y: y0 + slope * (x - x0), slope };
  };
}
