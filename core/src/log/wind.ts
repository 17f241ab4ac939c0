/**
 * Wind and airspeed from ground velocities: the circle that lies about them, its centre the wind, its radius the airspeed or
 * an airspeed sensor's reading times its factor. Headings all round or opposite; laps are not needed. Started from Kasa's
 * circle (IEEE Transactions on Instrumentation and Measurement 25, 1976), then robust on what is truly missed.
 */
import { fitRobust, solveDense } from '../numeric';
import { meanOf, scatterOf } from './middle';

export interface WindFit {
  /** towards which it blows [m/s] */ readonly east: number;
  readonly north: number;
  /** [m/s] */ readonly airspeed: number;
  /** by which the sensor's reading is to be multiplied; null without one */ readonly factor: number | null;
  /** standard deviations of the four */ readonly sigma: {
    readonly east: number;
    readonly north: number;
    readonly airspeed: number;
    readonly factor: number | null;
  };
  /** covariance of east and north [m2/s2] */ readonly mixed: number;
  readonly count: number;
}

interface Points {
  /** over ground [m/s] */ readonly east: Float64Array;
  readonly north: Float64Array;
  /** of the airspeed sensor at the same times [m/s] */ readonly sensor: Float64Array | null;
  /** up [m/s]: only what is left of the airspeed goes ahead; 0 where it is not known */ readonly climb?: Float64Array;
  /** share of the airspeed that each velocity shows; all of it where left out */ readonly shown?: Float64Array | null;
  /** what each of them is missed by [m/s] */ readonly climbNoise?: number;
  /** what each velocity is missed by along an axis [m/s] */ readonly noise?: number;
}

const FEWEST = 12;
/** Mean of the unit vectors of all headings: above it they do not lie all round, nor opposite. */
const ONE_WAY = 0.85;

type Velocities = Pick<Points, 'east' | 'north'>;

/** Whether headings lie all round or opposite, so that wind is told from airspeed. */
export function tellsWind({ east, north }: Velocities): boolean {
  let x = 0,
    y = 0;
  for (let i = 0; i < east.length; i++) {
    const v = Math.hypot(east[i], north[i]) || 1;
    x += east[i] / v;
    y += north[i] / v;
  }
  return Math.hypot(x, y) / east.length <= ONE_WAY;
}

/** Circle that minimises the sum of (|v|^2 - 2 v.w - c)^2: closed form. @returns centre and radius */
export function kasaCircle({ east, north }: Velocities): [number, number, number] {
  const A = [new Float64Array(3), new Float64Array(3), new Float64Array(3)],
    b = new Float64Array(3);
  for (let i = 0; i < east.length; i++) {
    const row = [2 * east[i], 2 * north[i], 1],
      right = east[i] ** 2 + north[i] ** 2;
    for (let p = 0; p < 3; p++) {
      b[p] += row[p] * right;
      for (let q = 0; q < 3; q++) A[p][q] += row[p] * row[q];
    }
  }
  const [x, y, c] = solveDense(A, b);
  return [x, y, Math.sqrt(Math.max(0, c + x * x + y * y))];
}

/**
 * A reading that scatters makes its factor come out too small: by the share of what it scatters in its mean square (regression
 * dilution, a general fact of least squares).
 * @returns what the factor is to be multiplied by
 */
function attenuated({ east, north, sensor, noise = 0 }: Points, [we, wn, k]: readonly number[]): number {
  const s = sensor!,
    off = s.map((v, i) => Math.abs(Math.hypot(east[i] - we, north[i] - wn) - k * v)),
    scatter = scatterOf(off) ** 2 - noise * noise,
    square = (k * k * s.reduce((sum, v) => sum + v * v, 0)) / s.length;
  return 1 + Math.max(0, scatter) / square;
}

/** @returns null where points are too few or headings do not tell wind from airspeed */
export function fitWind(points: Points): WindFit | null {
  const { east, north, sensor, climb, shown, noise = 0, climbNoise = 0 } = points,
    count = east.length;
  if (count < FEWEST || !tellsWind(points)) return null;
  const [x, y, radius] = kasaCircle(points),
    middle = sensor ? meanOf(sensor) : 1;
  if (!(radius > 0) || !(middle > 0)) return null;
  const fit = fitRobust(
    {
      count,
      size: 3,
      inTime: true,
      residuals: ([we, wn, k], r, J) => {
        for (let i = 0; i < count; i++) {
          const dx = east[i] - we,
            dy = north[i] - wn,
            v = Math.sqrt(dx * dx + dy * dy) || 1e-9,
            by = (sensor ? sensor[i] : 1) * (shown?.[i] ?? 1),
            up = climb?.[i] || 0,
            // noise only ever adds to a square
            ahead = Math.sqrt(Math.max(0.01, k * k * by * by - up * up + climbNoise * climbNoise));
          // speed across the way only ever adds to its length
          r[i] = v - (0.5 * noise * noise) / v - ahead;
          J[3 * i] = -dx / v;
          J[3 * i + 1] = -dy / v;
          J[3 * i + 2] = (-k * by * by) / ahead;
        }
      },
    },
    [x, y, radius / middle],
  );
  if (fit.status !== 'ok') return null;
  const [we, wn, low] = fit.x,
    k = sensor ? low * attenuated(points, fit.x) : low,
    sd = (p: number) => Math.sqrt(fit.covariance[p][p]);
  return {
    east: we,
    north: wn,
    airspeed: k * middle,
    factor: sensor ? k : null,
    sigma: { east: sd(0), north: sd(1), airspeed: sd(2) * middle, factor: sensor ? sd(2) : null },
    mixed: fit.covariance[0][1],
    count,
  };
}
