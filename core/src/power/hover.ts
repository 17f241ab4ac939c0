/**
 * Hover: ideal power T^1.5 / sqrt(2 rho A) (Rankine and Froude; Leishman, Principles of Helicopter Aerodynamics, ch. 2, from
 * memory), the drive's own power from its blades, motors and pack, throttle, margin with one motor weak, and the change
 * from rotors to wing.
 */
import { inducedFlow } from './inducedFlow';
import { operate, operateForThrust, type Drive, type OperatingPoint } from './electric';

export interface HoverPoint {
  point: OperatingPoint;
  /** [W]: by momentum, on the shafts, from the pack */ ideal: number;
  shaft: number;
  electric: number;
  /** ideal over shaft power, and over pack power */ figureOfMerit: number;
  overall: number;
  /** thrust asked over the most there is */ thrustShare: number;
  thrustToWeight: number;
  maxThrust: number;
  /** stick: by duty, or by thrust as flight controllers often make it */ throttle: number;
  /** with the charge to be used [s] */ time: number;
  gramsPerWatt: number;
  /** [N/m2] */ discLoading: number;
}

/** Least power that lifts a thrust [N] by discs of an area [m2]. */
export function idealHoverPower(thrust: number, area: number, density: number): number {
  return thrust ** 1.5 / Math.sqrt(2 * density * area);
}

export const discArea = (d: Pick<Drive, 'count' | 'curve' | 'inLine'>) =>
  (d.inLine ? d.count / 2 : d.count) * (Math.PI / 4) * d.curve.size.diameter ** 2;

/** @param d the lift motors together @param gravity [m/s2] @param reserve share of the usable charge kept back */
export function hoverPoint(
  d: Drive,
  mass: number,
  gravity: number,
  law: 'duty' | 'thrust',
  reserve: number,
  soc = 0.5,
): HoverPoint {
  const T = mass * gravity,
    point = operateForThrust(d, T, 0, soc),
    most = operate(d, 1, 0, soc);
  const area = discArea(d),
    ideal = idealHoverPower(T, area, d.density),
    share = T / most.thrust;
  return {
    point,
    ideal,
    shaft: point.shaftPower,
    electric: point.power,
    figureOfMerit: ideal / point.shaftPower,
    overall: ideal / point.power,
    thrustShare: share,
    thrustToWeight: 1 / share,
    maxThrust: most.thrust,
    throttle: law === 'duty' ? point.duty : Math.sqrt(share),
    time: ((1 - reserve) * d.charge) / point.current,
    gramsPerWatt: (1000 * mass) / point.power,
    discLoading: T / area,
  };
}

/**
 * Most total thrust [N] that rotors give with no moment about the CG, when some are weak:
 *   max sum T_i,  sum T_i x_i = sum T_i y_i = 0,  0 <= T_i <= m_i.
 * By its dual, min over (l, u) of sum m_i max(0, 1 + l x_i + u y_i): convex and piecewise linear in two unknowns, so the
 * least value lies where two of the lines cross (or on one line, or at the origin).
 * @param rotors arms about the CG [m] and largest thrusts [N]
 */
export function balancedThrust(rotors: readonly { x: number; y: number; most: number }[]): number {
  const value = (l: number, u: number) =>
    rotors.reduce((s, r) => s + r.most * Math.max(0, 1 + l * r.x + u * r.y), 0);
  const tries: [number, number][] = [[0, 0]];
  rotors.forEach((a, i) => {
    const n = a.x * a.x + a.y * a.y;
    if (n > 1e-12) tries.push([-a.x / n, -a.y / n], [-1 / (a.x || Infinity), 0], [0, -1 / (a.y || Infinity)]);
    for (const b of rotors.slice(i + 1)) {
      const det = a.x * b.y - a.y * b.x;
      if (Math.abs(det) > 1e-12) tries.push([(-b.y + a.y) / det, (-a.x + b.x) / det]);
    }
  });
  return Math.min(...tries.map(([l, u]) => value(l, u)));
}

export interface WeakRotor {
  rotor: number;
  /** what is left of it, 0 to 1 */ left: number;
  total: number;
  margin: number;
}

/** The worst rotor to lose a share of: thrust that still balances, over the weight. */
export function weakRotor(
  rotors: readonly { x: number; y: number; most: number }[],
  weight: number,
  left = 0.7,
): WeakRotor {
  return rotors
    .map((_, k) => {
      const total = balancedThrust(rotors.map((r, i) => (i === k ? { ...r, most: r.most * left } : r)));
      return { rotor: k, left, total, margin: total / weight };
    })
    .reduce((a, b) => (b.margin < a.margin ? b : a));
}

/**
 * Power [W] from the pack to fly level at a speed on the rotors alone: induced flow by Glauert's formula, drag area
 * pulled along.
 */
export function rotorCruisePower(
  d: Drive,
  mass: number,
  gravity: number,
  speed: number,
  dragArea: number,
  overall: number,
): number {
  const drag = 0.5 * d.density * speed * speed * dragArea,
    T = Math.hypot(mass * gravity, drag),
    area = discArea(d);
  const v0 = Math.sqrt(T / (2 * d.density * area));
  return (T * inducedFlow(v0, speed, 0) + drag * speed) / Math.max(overall, 1e-6);
}
