/**
 * Flaps in thin-airfoil theory: how much angle a deflection is worth, and the moment about its hinge.
 * Source: Glauert, The Elements of Aerofoil and Airscrew Theory, ch. 11 (ARC R&M 1095, 1927).
 */
import { DomainError } from '../numeric';
import type { Surface } from '../design';
import { antisymmetricMix, symmetricMix } from './controls';

/** Angle of attack worth one rad of flap, for a flap of this share of the chord (0 to 1). 1 for an all-moving surface. */
export function flapAuthority(share: number): number {
  if (!(share >= 0 && share <= 1))
    throw new DomainError('out-of-range', 'flap share lies between 0 and 1', { share });
  const t = Math.acos(2 * share - 1);
  return 1 - (t - Math.sin(t)) / Math.PI;
}

export interface HingeSlopes {
  /** dCh/dalpha, per rad */ alpha: number;
  /** dCh/ddelta, per rad */ flap: number;
}

const POINTS = 4000;

/**
 * Hinge-moment slopes of a plain flap on a thin section, on the flap's own chord squared; negative: the air
 * pushes it back. Loads: 4 alpha sqrt((1 - x)/x), and for the flap Glauert's series summed in closed form.
 * Viscous sections give about 0.6 to 0.8 of it (common practice).
 */
export function hingeSlopes(share: number): HingeSlopes {
  if (!(share > 0 && share <= 1))
    throw new DomainError('out-of-range', 'flap share lies above 0, up to 1', { share });
  const hinge = 1 - share,
    th = Math.acos(1 - 2 * hinge);
  let a = 0,
    f = 0;
  // theta from the hinge to the trailing edge, x = (1 - cos theta) / 2
  for (let i = 0; i < POINTS; i++) {
    const t = th + ((Math.PI - th) * (i + 0.5)) / POINTS,
      dt = (Math.PI - th) / POINTS;
    const x = 0.5 * (1 - Math.cos(t)),
      dx = 0.5 * Math.sin(t) * dt,
      arm = x - hinge;
    const cot = (1 + Math.cos(t)) / Math.sin(t);
    a += 4 * cot * arm * dx;
    // A0 = 1 - th/pi; sum of sin(n th) sin(n t) / n = half the log of sin((t + th)/2) / |sin((t - th)/2)|
    const series = Math.log(Math.abs(Math.sin(0.5 * (t + th)) / Math.sin(0.5 * (t - th))));
    f += 4 * ((1 - th / Math.PI) * cot + series / Math.PI) * arm * dx;
  }
  return { alpha: -a / (share * share), flap: -f / (share * share) };
}

/** Angle that one unit of each stick adds to a strip [rad]: even on both sides, odd on the right. */
export interface StripFlaps {
  readonly elevator: number;
  readonly flap: number;
  readonly aileron: number;
  readonly rudder: number;
}

const NO_FLAPS: StripFlaps = { elevator: 0, flap: 0, aileron: 0, rudder: 0 };

/** What stands on every surface: one function for all its strips. @returns by surface and fraction of its span */
export function flapsOf(surfaces: readonly Surface[]): (surface: Surface, eta: number) => StripFlaps {
  const elevator = symmetricMix(surfaces, 'elevator'),
    flap = symmetricMix(surfaces, 'flap'),
    aileron = antisymmetricMix(surfaces, 'aileron'),
    rudder = antisymmetricMix(surfaces, 'rudder');
  return (surface, eta) => {
    let out = NO_FLAPS;
    for (const c of surface.controls) {
      if (eta < c.from || eta > c.to) continue;
      const key = `${surface.id}.${c.id}`,
        tau = flapAuthority(c.chordFraction);
      out = {
        elevator: out.elevator + tau * (elevator.get(key) ?? 0),
        flap: out.flap + tau * (flap.get(key) ?? 0),
        aileron: out.aileron - tau * (aileron.get(key) ?? 0),
        rudder: out.rudder + tau * (rudder.get(key) ?? 0),
      };
    }
    return out;
  };
}

/** Angle that controls add to a strip on either side [rad]. */
export function flapEffect(
  f: StripFlaps,
  m: { elevator?: number; flap?: number; aileron?: number; rudder?: number },
): { right: number; left: number } {
  const even = f.elevator * (m.elevator ?? 0) + f.flap * (m.flap ?? 0),
    odd = f.aileron * (m.aileron ?? 0) + f.rudder * (m.rudder ?? 0);
  return { right: even + odd, left: even - odd };
}
