/**
 * Plain flaps set further than the coupled flow follows. Up to FLOW the section is computed as it is drawn; from there on
 * what a handbook says of the further angle is added. Sources: DATCOM (1978) 6.1.1.1 for the lift a deflection still gives
 * and 6.1.1.3 for the largest lift, both from memory; Glauert's thin-aerofoil moment; drag by Young, ARC R&M 2622 (1947).
 */
import { interpolateLinear } from '../numeric';
import type { Polar, PolarPoint, PolarSet } from './polar';

const DEG = Math.PI / 180;
/** The farthest that the coupled flow is asked to follow [rad]. */
export const FLOW = 10 * DEG;

const ANGLES = [0, 10, 15, 20, 30, 40, 50, 60].map((d) => d * DEG);
/** Lift of a deflection over that of a small one. */
const STILL = [1, 1, 0.95, 0.85, 0.66, 0.56, 0.49, 0.44];
/** Lift of a small deflection over that of thin-aerofoil theory. */
const SMALL = 0.8;
/** Share of the most that a flap adds to the largest lift. */
const OF_MOST = [0, 0.2, 0.31, 0.41, 0.6, 0.78, 0.92, 1];
/** The most for a quarter-chord flap, and by the flap's share of the chord. */
const MOST = 0.9;
const SHARES = [0, 0.1, 0.15, 0.2, 0.25, 0.3, 0.4],
  BY_SHARE = [0, 0.55, 0.75, 0.9, 1, 1.06, 1.1];
/** Lift slope of a section at model scale [per rad]. */
const SLOPE = 5.7;

const WARNING = 'Flap set beyond 10°: handbook increments on the computed flow, known to about a fifth.';

export interface FlapAngle {
  /** place of the hinge, share of the chord */ readonly hinge: number;
  /** [rad], down positive */ readonly angle: number;
}

/** Deflection that a wing in potential flow needs for the lift that the flap still gives [rad]. */
export function effectiveAngle(angle: number): number {
  const size = Math.abs(angle);
  if (size <= FLOW) return angle;
  return Math.sign(angle) * (FLOW + SMALL * (interpolateLinear(ANGLES, STILL, size) * size - FLOW));
}

export interface FlapIncrements {
  /** at one angle of attack */ readonly lift: number;
  readonly clMax: number;
  readonly drag: number;
  /** about the quarter chord */ readonly moment: number;
}

const NONE: FlapIncrements = { lift: 0, clMax: 0, drag: 0, moment: 0 };

/** Young: 1.7 (c_f / c)^1.38 sin2 of the deflection, of the chord that has the flap. */
const youngDrag = (share: number, angle: number) => 1.7 * share ** 1.38 * Math.sin(angle) ** 2;

/** Largest lift that a plain flap adds from nil to an angle [rad]. */
export function flapClMax(share: number, angle: number): number {
  return MOST * interpolateLinear(SHARES, BY_SHARE, share) * interpolateLinear(ANGLES, OF_MOST, angle);
}

/** What the angle beyond FLOW adds to the section with its flap at FLOW. */
export function beyondFlow({ hinge, angle }: FlapAngle): FlapIncrements {
  const size = Math.abs(angle),
    sign = Math.sign(angle);
  if (size <= FLOW) return NONE;
  const more = Math.abs(effectiveAngle(angle)) - FLOW,
    share = 1 - hinge,
    th = Math.acos(1 - 2 * hinge);
  return {
    lift: sign * 2 * (Math.PI - th + Math.sin(th)) * more,
    clMax: sign * (flapClMax(share, size) - flapClMax(share, FLOW)),
    drag: youngDrag(share, size) - youngDrag(share, FLOW),
    moment: -sign * 0.5 * Math.sin(th) * (1 - Math.cos(th)) * more,
  };
}

/** How far along its way from no lift to a stall a lift coefficient is: 0 to 1. */
const alongOf = (p: Polar) => (cl: number) =>
  Math.min(1, Math.max(0, cl >= 0 ? cl / Math.max(p.clMax, 0.05) : cl / Math.min(p.clMin, -0.05)));

/** The polar moved by them: its slope is kept, the stalls move by the increment of the largest lift. */
export function movedPolar(p: Polar, by: FlapIncrements): Polar {
  const { lift, clMax, drag, moment } = by,
    along = alongOf(p),
    short = lift - clMax;
  const clOf = (cl: number, w: number) => cl + lift - short * w;
  const points = p.points.map((q): PolarPoint => {
    const w = q.stalled ? 1 : along(q.cl);
    return {
      ...q,
      alpha: q.alpha - (short / SLOPE) * w,
      cl: clOf(q.cl, w),
      cd: q.cd + drag,
      cm: q.cm + moment,
    };
  });
  return {
    ...p,
    points: points.sort((a, b) => a.alpha - b.alpha),
    clMax: p.clMax + clMax,
    clMin: p.clMin + clMax,
    alphaStall: p.alphaStall - short / SLOPE,
    attachedCl: p.attachedCl.map((cl) => clOf(cl, along(cl))),
    attachedCd: p.attachedCd.map((cd) => cd + drag),
    confidence: 'low',
    warnings: [WARNING, ...p.warnings],
  };
}

/** The same for a set of polars over Reynolds numbers. */
export function movedSet(set: PolarSet, by: FlapIncrements): PolarSet {
  return {
    polars: set.polars.map((p) => movedPolar(p, by)),
    zeroLift: set.zeroLift - by.lift / (2 * Math.PI),
    moment: set.moment + by.moment,
  };
}
