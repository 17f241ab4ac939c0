/**
 * Coefficients of a propeller as a table over advance ratio and tip speed, made once by blade elements (or taken from a
 * published or measured table) and then read in a microsecond.
 *   T = CT rho n^2 D^4,  P = CP rho n^3 D^5,  J = V / (n D), n in rev/s
 * The table runs from standing still past windmilling; beyond its end the coefficients go on as J^2, which is a drag
 * area: a stopped propeller has no n.
 */
import { clamp, DomainError, interpolateLinear, nearlySame } from '../numeric';
import { bladeLoad, type BladeSet } from './bladeElement';
import { bladeAngle, bladeShape, chordAt, RADII } from './blades';

export interface CoefficientTable {
  /** where it comes from */ name: string;
  rows: readonly { J: number; CT: number; CP: number }[];
}

export interface PropellerSize {
  diameter: number;
  pitch: number;
  blades: number;
  family?: string | undefined;
  /** pitch by r/R where it is not the same everywhere [m] */ pitchAt?:
    | readonly {
        r: number;
        pitch: number;
      }[]
    | undefined;
  /** replaces the blade elements */ table?: CoefficientTable | undefined;
  folds?: boolean | undefined;
  /** what a bench said of this very propeller, over the computation */ correction?:
    | {
        thrust: number;
        torque: number;
      }
    | undefined;
}

export interface PropellerCurve {
  readonly size: PropellerSize;
  /** zero thrust */ readonly j0: number;
  readonly ct0: number;
  readonly cp0: number;
  /** step and count of the table in J */ readonly step: number;
  readonly count: number;
  /** tip speeds of the rows [m/s] */ readonly tips: readonly number[];
  /** row by row, count values each */ readonly ct: Float64Array;
  readonly cp: Float64Array;
  readonly from: 'blade elements' | 'table' | 'fan';
  /** share of the blade past its limit, standing still */ readonly stalled: number;
}

/** p/D the blade elements were compared at; outside, the caller is warned. */
export const PITCH_RATIO_RANGE = [0.35, 1.1] as const;
const TIP_SPEEDS = [12, 45, 160] as const;
const COUNT = 22;

/** The blades of a size. @throws DomainError `unknown-name` */
export function bladeSetOf(size: PropellerSize, shift = 0): BladeSet {
  const at = size.pitchAt && [...size.pitchAt].sort((a, b) => a.r - b.r);
  const ratio = size.pitch / size.diameter;
  const pitchRatio =
    at && at.length > 1
      ? (
          (r: number[], p: number[]) => (x: number) =>
            interpolateLinear(r, p, x) / size.diameter
        )(
          at.map((a) => a.r),
          at.map((a) => a.pitch),
        )
      : () => ratio;
  return {
    blade: bladeShape(size.family ?? 'thin-electric'),
    diameter: size.diameter,
    blades: size.blades,
    pitchRatio,
    shift,
  };
}

function zeroThrust(step: number, ct: ArrayLike<number>, count: number): number {
  for (let i = 1; i < count; i++)
    if (ct[i] <= 0 && ct[i - 1] > 0) return step * (i - 1 + ct[i - 1] / (ct[i - 1] - ct[i]));
  return step * (count - 1);
}

/** @throws DomainError `bad-shape` for a table that cannot be used */
function fromTable(size: PropellerSize, table: CoefficientTable): PropellerCurve {
  const rows = [...table.rows].sort((a, b) => a.J - b.J);
  if (rows.length < 2 || rows.some((r, i) => !(r.J >= 0) || (i > 0 && r.J === rows[i - 1].J)))
    throw new DomainError(
      'bad-shape',
      'a coefficient table needs at least two different advance ratios, none below zero',
      { table: table.name },
    );
  if (!rows.some((r) => r.CT > 0))
    throw new DomainError('bad-shape', 'nowhere in the coefficient table is there thrust', {
      table: table.name,
    });
  const J = rows.map((r) => r.J),
    last = rows[rows.length - 1],
    before = rows[rows.length - 2];
  // past the end: on along the last slope until windmilling, so that level speeds exist
  const slope = (k: 'CT' | 'CP') => Math.min(-0.02, (last[k] - before[k]) / (last.J - before.J));
  const top = Math.max(last.J * 1.3, last.J + Math.max(0, last.CT) / -slope('CT') + 0.1);
  const read = (k: 'CT' | 'CP', x: number) =>
    x <= last.J
      ? interpolateLinear(
          J,
          rows.map((r) => r[k]),
          x,
        )
      : Math.max(-0.2, last[k] + slope(k) * (x - last.J));
  const step = top / (COUNT - 1);
  const ct = Float64Array.from({ length: COUNT }, (_, i) => read('CT', i * step)),
    cp = Float64Array.from({ length: COUNT }, (_, i) => read('CP', i * step));
  return {
    size,
    j0: zeroThrust(step, ct, COUNT),
    ct0: ct[0],
    cp0: cp[0],
    step,
    count: COUNT,
    tips: [100],
    ct,
    cp,
    from: 'table',
    stalled: 0,
  };
}

/**
 * @param tips tip speeds the blades are computed at [m/s]; Reynolds and Mach number in between follow their logarithm
 * @throws DomainError for an unknown family or a table that cannot be used
 */
export function propellerCurve(
  size: PropellerSize,
  tips: readonly number[] = TIP_SPEEDS,
  shift = 0,
): PropellerCurve {
  if (size.table) return fromTable(size, size.table);
  const set = bladeSetOf(size, shift);
  const ratio = set.pitchRatio(0.75) + Math.tan(shift) * 2.4;
  const step = (1.75 * (1.15 * Math.max(ratio, 0.1) + 0.12)) / (COUNT - 1);
  const ct = new Float64Array(COUNT * tips.length),
    cp = new Float64Array(COUNT * tips.length);
  let stalled = 0;
  tips.forEach((tip, k) => {
    const omega = (2 * tip) / size.diameter,
      n = omega / (2 * Math.PI);
    for (let i = 0; i < COUNT; i++) {
      const load = bladeLoad(set, omega, i * step * n * size.diameter);
      ct[k * COUNT + i] = load.CT;
      cp[k * COUNT + i] = load.CP;
      if (i === 0) stalled = load.stalled;
    }
  });
  const last = (tips.length - 1) * COUNT;
  return {
    size,
    j0: zeroThrust(step, ct.subarray(last), COUNT),
    ct0: ct[last],
    cp0: cp[last],
    step,
    count: COUNT,
    tips,
    ct,
    cp,
    from: 'blade elements',
    stalled,
  };
}

/** Value of one coefficient at J and tip speed [m/s]. */
function read(c: PropellerCurve, values: Float64Array, J: number, tip: number): number {
  const end = c.step * (c.count - 1);
  const scale = J > end ? (J / end) ** 2 : 1;
  const x = Math.min(Math.max(J, 0), end) / c.step;
  const i = Math.min(c.count - 2, Math.floor(x)),
    a = x - i;
  const row = (k: number) => values[k * c.count + i] * (1 - a) + values[k * c.count + i + 1] * a;
  if (c.tips.length === 1) return scale * row(0);
  let k = 0;
  while (k < c.tips.length - 2 && c.tips[k + 1] < tip) k++;
  const b = clamp(Math.log(Math.max(tip, 1e-6) / c.tips[k]) / Math.log(c.tips[k + 1] / c.tips[k]), -0.3, 1.2);
  return scale * ((1 - b) * row(k) + b * row(k + 1));
}

const usualTip = (c: PropellerCurve) => c.tips[c.tips.length - 1];

export function thrustCoefficient(c: PropellerCurve, J: number, tip = usualTip(c)): number {
  return read(c, c.ct, J, tip) * (c.size.correction?.thrust ?? 1);
}

export function powerCoefficient(c: PropellerCurve, J: number, tip = usualTip(c)): number {
  return read(c, c.cp, J, tip) * (c.size.correction?.torque ?? 1);
}

/** Thrust [N] and torque [N m] at omega [rad/s], airspeed V [m/s], density [kg/m3]; below zero when it windmills. */
export function propellerLoad(
  c: PropellerCurve,
  omega: number,
  speed: number,
  density: number,
): { thrust: number; torque: number } {
  const n = omega / (2 * Math.PI),
    D = c.size.diameter;
  if (!(n > 1e-4)) {
    const end = c.step * (c.count - 1),
      q = (density * speed * speed * D * D) / (end * end);
    return { thrust: c.ct[c.count - 1] * q, torque: (c.cp[c.count - 1] * q * D) / (2 * Math.PI) };
  }
  const J = speed / (n * D),
    tip = (omega * D) / 2,
    f = density * n * n * D ** 4;
  return {
    thrust: thrustCoefficient(c, J, tip) * f,
    torque: (powerCoefficient(c, J, tip) * f * D) / (2 * Math.PI),
  };
}

/** Drag areas of a propeller that does no work [m2]: turning freely, held still, folded. */
export function idleDragArea(c: PropellerCurve): {
  windmilling: number;
  stopped: number;
  folded: number | null;
} {
  const { size } = c,
    blade = bladeShape(size.family ?? 'thin-electric'),
    R = size.diameter / 2;
  // where the power crosses zero, the shaft turns freely (bearing friction left out)
  let J = c.step * (c.count - 1);
  for (let i = 1; i < c.count; i++)
    if (c.cp[i] <= 0 && c.cp[i - 1] > 0) {
      J = c.step * (i - 1 + c.cp[i - 1] / (c.cp[i - 1] - c.cp[i]));
      break;
    }
  const windmilling = Math.max(0, (-2 * thrustCoefficient(c, J) * size.diameter ** 2) / (J * J));
  let area = 0,
    stopped = 0;
  for (let i = 1; i < RADII.length; i++) {
    const x = 0.5 * (RADII[i] + RADII[i - 1]),
      dA = size.blades * chordAt(blade, x) * R * (RADII[i] - RADII[i - 1]) * R;
    area += dA;
    stopped += dA * 1.2 * Math.cos(bladeAngle(size.pitch / size.diameter, x)) ** 2; // plate across the flow, Hoerner 1.2
  }
  // lying back: friction and gaps, common practice
  return { windmilling, stopped, folded: (size.folds ?? blade.folds) ? 0.06 * area : null };
}

/** Pitch speed [m/s]: how fast it would advance without slip. */
export function pitchSpeed(size: Pick<PropellerSize, 'pitch'>, omega: number): number {
  return (size.pitch * omega) / (2 * Math.PI);
}

/** Whether two propellers are the same size and kind. */
export function sameBlades(a: PropellerSize, b: PropellerSize): boolean {
  return (
    nearlySame(a.diameter, b.diameter) &&
    nearlySame(a.pitch, b.pitch) &&
    a.blades === b.blades &&
    (a.family ?? 'thin-electric') === (b.family ?? 'thin-electric')
  );
}
