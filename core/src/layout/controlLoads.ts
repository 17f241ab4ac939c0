/** What each control asks of its servo, and what it does. Hinge moments: thin-airfoil theory, see `hingeSlopes`. */
import type { Design } from '../design';
import { hingeSlopes, isMirrored, stationAt } from '../surface';

export interface ControlLoad {
  surface: string;
  control: string;
  name: string;
  kind: string;
  /** of one side [m2]; mean chord of the control [m] */ area: number;
  chord: number;
  /** at full throw and the speed given [N m], one side */ torque: number;
  /** servo torque over that; null when no servo is named */ margin: number | null;
  /** as the trade writes it, with a linkage of equal arms [kg cm] for one servo */ askedKgCm: number;
}

/** Servos are asked this much more than the computed moment (friction, gusts, worn gears; common practice). */
export const SERVO_FACTOR = 2;

/** @param q dynamic pressure [Pa], @param alpha angle of attack with which it is met [rad] */
export function controlLoads(design: Design, q: number, alpha: number, g: number): ControlLoad[] {
  return design.surfaces.flatMap((s) =>
    s.controls.map((c) => {
      const end = s.stations[s.stations.length - 1].y,
        N = 12;
      let area = 0,
        cc = 0;
      for (let i = 0; i < N; i++) {
        const st = stationAt(s, end * (c.from + ((c.to - c.from) * (i + 0.5)) / N)),
          w = (end * (c.to - c.from)) / N,
          k = c.chordFraction * st.chord;
        area += k * w;
        cc += k * k * w;
      }
      const h = hingeSlopes(Math.max(0.02, c.chordFraction));
      // the strip's own angle where the control sits, without the downwash that lessens it: on the safe side
      const local = s.role === 'fin' ? 0 : alpha + s.incidence;
      const torque = q * cc * (Math.abs(h.flap) * c.maxDeflection + Math.abs(h.alpha * local));
      const one = c.servo ? c.servo.torque * c.servo.count : null;
      return {
        surface: s.id,
        control: c.id,
        name: `${c.name}${isMirrored(s) ? ', one side' : ''}`,
        kind: c.kind,
        area,
        chord: area > 0 ? cc / area : 0,
        torque,
        margin: one === null ? null : one / (SERVO_FACTOR * torque),
        askedKgCm: (SERVO_FACTOR * torque) / (g * 0.01),
      };
    }),
  );
}
