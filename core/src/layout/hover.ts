/** Share of the weight on each lift rotor, from where the CG lies among them. */
import { G0 } from '../air';
import { powertrainOf, type Design, type Powertrain } from '../design';

export interface HoverShare {
  rotors: {
    id: string;
    name: string;
    thrust: number;
    share: number;
    /** of its largest thrust */ load: number;
  }[];
  /** CG from the rotors' middle [m] */ offsetX: number;
  offsetY: number;
  /** all rotors together over the weight */ thrustToWeight: number;
  /** largest lean that still carries the weight [rad] */ lean: number;
  /** CG range along x in which no rotor passes `ceiling` of its thrust [m] */ from: number;
  to: number;
  outside: boolean;
}

/** Least-squares thrusts that balance weight and both moments: the mixer's own answer when all rotors are alike. */
function spread(
  rotors: NonNullable<Powertrain['rotors']>,
  weight: number,
  x: number,
  y: number,
): number[] | null {
  const n = rotors.length,
    mx = rotors.reduce((s, r) => s + r.x, 0) / n,
    my = rotors.reduce((s, r) => s + r.y, 0) / n;
  let sxx = 0,
    syy = 0,
    sxy = 0;
  for (const r of rotors) {
    sxx += (r.x - mx) ** 2;
    syy += (r.y - my) ** 2;
    sxy += (r.x - mx) * (r.y - my);
  }
  const det = sxx * syy - sxy * sxy;
  if (!(det > 1e-9 * sxx * syy) || n < 3) return null;
  const a = (weight * ((x - mx) * syy - (y - my) * sxy)) / det,
    b = (weight * ((y - my) * sxx - (x - mx) * sxy)) / det;
  return rotors.map((r) => weight / n + a * (r.x - mx) + b * (r.y - my));
}

/**
 * @param each largest thrust of one rotor as the drive is computed [N]; the drawing's own figure where no drive is described
 * @param ceiling share of a rotor's largest thrust that hover may use; 0.75 leaves room to steer (common practice)
 */
export function hoverShare(
  design: Design,
  state: { mass: number; x: number; y: number },
  each: number | null = null,
  ceiling = 0.75,
): HoverShare | null {
  const rotors = (powertrainOf(design).rotors ?? []).flatMap((r) => {
    const maxThrust = each ?? r.maxThrust;
    return maxThrust === null ? [] : [{ ...r, maxThrust }];
  });
  if (rotors.length < 3) return null;
  const W = state.mass * G0;
  const t = spread(rotors, W, state.x, state.y);
  if (!t) return null;
  const mx = rotors.reduce((s, r) => s + r.x, 0) / rotors.length,
    my = rotors.reduce((s, r) => s + r.y, 0) / rotors.length;
  const most = rotors.reduce((s, r) => s + r.maxThrust, 0);
  const fits = (x: number) =>
    spread(rotors, W, x, state.y)!.every(
      (v, i) => v <= ceiling * rotors[i].maxThrust && v >= 0.1 * (W / rotors.length),
    );
  let from = mx,
    to = mx;
  if (fits(mx)) {
    while (mx - from < 1 && fits(from - 0.001)) from -= 0.001;
    while (to - mx < 1 && fits(to + 0.001)) to += 0.001;
  }
  return {
    rotors: rotors.map((r, i) => ({
      id: r.id,
      name: r.name,
      thrust: t[i],
      share: t[i] / W,
      load: t[i] / r.maxThrust,
    })),
    offsetX: state.x - mx,
    offsetY: state.y - my,
    thrustToWeight: most / W,
    lean: most > W ? Math.acos(W / most) : 0,
    from,
    to,
    outside: !fits(state.x),
  };
}
