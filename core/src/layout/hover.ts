/** Share of the weight on each rotor that lifts, from where the CG lies among them. */
import { G0 } from '../air';
import type { Rotor } from '../design';

export interface HoverShare {
  readonly rotors: readonly {
    readonly id: string;
    readonly name: string;
    readonly thrust: number;
    readonly share: number;
    /** of its largest thrust */ readonly load: number;
  }[];
  /** CG from the rotors' middle [m] */ readonly offsetX: number;
  readonly offsetY: number;
  /** how far the CG lies beside what they can hold, aft and right positive [m]; null where they hold it */ readonly beside: {
    readonly x: number;
    readonly y: number;
  } | null;
  /** all rotors together over the weight */ readonly thrustToWeight: number;
  /** largest lean that still carries the weight [rad] */ readonly lean: number;
  /** CG range along x in which no rotor passes `ceiling` of its thrust [m] */ readonly from: number;
  readonly to: number;
  readonly outside: boolean;
}

/** A CG so near to a line of rotors lies on it [m]. */
const ON_LINE = 1e-3;

interface Placed {
  readonly x: number;
  readonly y: number;
}

/** Thrusts per weight that balance both moments with the least sum of squares, and what of the CG they cannot hold. */
function spread(rotors: readonly Placed[], x: number, y: number): { t: number[]; beside: Placed } {
  const n = rotors.length,
    mx = rotors.reduce((s, r) => s + r.x, 0) / n,
    my = rotors.reduce((s, r) => s + r.y, 0) / n,
    dx = x - mx,
    dy = y - my;
  let sxx = 0,
    syy = 0,
    sxy = 0;
  for (const r of rotors) {
    sxx += (r.x - mx) ** 2;
    syy += (r.y - my) ** 2;
    sxy += (r.x - mx) * (r.y - my);
  }
  // along the two axes of the places: where they do not reach, nothing is held
  const turn = 0.5 * Math.atan2(2 * sxy, sxx - syy),
    axes = [turn, turn + Math.PI / 2].map((a): [number, number] => [Math.cos(a), Math.sin(a)]);
  const t = rotors.map(() => 1 / n),
    beside = { x: 0, y: 0 },
    all = sxx + syy;
  for (const [ax, ay] of axes) {
    const reach = sxx * ax * ax + 2 * sxy * ax * ay + syy * ay * ay,
      off = dx * ax + dy * ay;
    if (reach > 1e-6 * all && reach > 1e-9)
      rotors.forEach((r, i) => (t[i] += (off * ((r.x - mx) * ax + (r.y - my) * ay)) / reach));
    else {
      beside.x += off * ax;
      beside.y += off * ay;
    }
  }
  return { t, beside };
}

/** A rotor with the most that it gives [N]. */
export type Lifter = Pick<Rotor, 'id' | 'name' | 'x' | 'y'> & { readonly most: number };

/** Range of the CG along x about the middle in which no rotor is asked for too much, or for next to nothing. */
function rangeOf(rotors: readonly Lifter[], weight: number, y: number, ceiling: number): [number, number] {
  const mx = rotors.reduce((s, r) => s + r.x, 0) / rotors.length;
  const at = (x: number) => spread(rotors, x, y),
    far = at(mx + 1);
  if (Math.abs(far.beside.x) > ON_LINE) return [mx, mx];
  // shares are linear in the place: each rotor's bounds say how far
  const here = at(mx).t;
  let from = -Infinity,
    to = Infinity;
  rotors.forEach((r, i) => {
    const slope = far.t[i] - here[i];
    if (Math.abs(slope) < 1e-9) return;
    const ends = [0.1 / rotors.length, (ceiling * r.most) / weight].map((b) => (b - here[i]) / slope);
    from = Math.max(from, Math.min(...ends));
    to = Math.min(to, Math.max(...ends));
  });
  return from <= to ? [mx + from, mx + to] : [mx, mx];
}

/**
 * @param rotors that lift, where they stand when they do, with the most that each gives [N]
 * @param ceiling share of a rotor's largest thrust that hover may use; 0.75 leaves room to steer (common practice)
 * @returns null where fewer than two stand anywhere
 */
export function hoverShare(
  rotors: readonly Lifter[],
  state: { readonly mass: number; readonly x: number; readonly y: number },
  ceiling = 0.75,
): HoverShare | null {
  if (rotors.length < 2) return null;
  const weight = state.mass * G0,
    n = rotors.length,
    { t, beside } = spread(rotors, state.x, state.y);
  const most = rotors.reduce((s, r) => s + r.most, 0),
    held = Math.hypot(beside.x, beside.y) <= ON_LINE,
    [from, to] = rangeOf(rotors, weight, state.y, ceiling);
  return {
    rotors: rotors.map((r, i) => ({
      id: r.id,
      name: r.name,
      thrust: t[i] * weight,
      share: t[i],
      load: (t[i] * weight) / r.most,
    })),
    offsetX: state.x - rotors.reduce((s, r) => s + r.x, 0) / n,
    offsetY: state.y - rotors.reduce((s, r) => s + r.y, 0) / n,
    beside: held ? null : beside,
    thrustToWeight: most / weight,
    lean: most > weight ? Math.acos(weight / most) : 0,
    from,
    to,
    outside: !held || state.x < from || state.x > to,
  };
}
