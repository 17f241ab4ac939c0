/** What fails first under a load: the lowest load factor of all places and ways. */
import type { Bearing, Weak } from './bearing';
import type { Carried } from './spanLoad';

export interface Verdict {
  /** times the load at which something fails */ readonly factor: number;
  /** place of it [m] */ readonly y: number;
  readonly weak: Weak | null;
}

/** Calibration of what breaks and what bends. */
export interface Learnt {
  readonly strength: number;
  readonly stiffness: number;
}

/**
 * Loads over limits at one place: the largest of what breaks and what buckles in bending, and in shear with torque, whose
 * stresses run in the same walls and add.
 */
function usedAt(b: Bearing, load: Carried, p: number, f: Learnt): number {
  const m = load.moment[p],
    M = Math.abs(m),
    V = Math.abs(load.shear[p]),
    T = Math.abs(load.torque[p]),
    bends = m >= 0 ? b.up : b.down;
  const breaks = Math.max(M / bends.strength[p], V / b.shear.strength[p] + T / b.torque.strength[p]),
    buckles = Math.max(M / bends.stiffness[p], V / b.shear.stiffness[p] + T / b.torque.stiffness[p]);
  // no load over no strength is no load: where nothing bears, only what is loaded fails
  const used = Math.max(breaks / f.strength, buckles / f.stiffness);
  return M === 0 && V === 0 && T === 0 ? 0 : used;
}

/** Who gives way at a place. */
function weakAt(b: Bearing, load: Carried, p: number, f: Learnt): Weak | null {
  const m = load.moment[p],
    bends = m >= 0 ? b.up : b.down,
    v = Math.abs(load.shear[p]) / b.shear.strength[p],
    t = Math.abs(load.torque[p]) / b.torque.strength[p];
  const ways: readonly [number, Weak | null][] = [
    [Math.abs(m) / bends.strength[p] / f.strength, bends.strengthBy[p]],
    [Math.abs(m) / bends.stiffness[p] / f.stiffness, bends.stiffnessBy[p]],
    [(v + t) / f.strength, v >= t ? b.shear.strengthBy[p] : b.torque.strengthBy[p]],
    [
      (Math.abs(load.shear[p]) / b.shear.stiffness[p] + Math.abs(load.torque[p]) / b.torque.stiffness[p]) /
        f.stiffness,
      b.shear.stiffnessBy[p],
    ],
  ];
  return ways.reduce((a, w) => (w[0] > a[0] ? w : a))[1];
}

/** Times the load at which one place fails, and by whom. */
export function factorAt(b: Bearing, load: Carried, p: number, f: Learnt): Pick<Verdict, 'factor' | 'weak'> {
  const used = usedAt(b, load, p, f);
  return { factor: used > 0 ? 1 / used : Infinity, weak: used > 0 ? weakAt(b, load, p, f) : null };
}

export function verdictOf(b: Bearing, load: Carried, f: Learnt): Verdict {
  let most = 0,
    at = 0;
  for (let p = 0; p < b.y.length; p++) {
    const used = usedAt(b, load, p, f);
    // of places that are alike the inner one
    if (used > most * (1 + 1e-9)) {
      most = used;
      at = p;
    }
  }
  return {
    factor: most > 0 ? 1 / most : Infinity,
    y: b.y[at],
    weak: most > 0 ? weakAt(b, load, at, f) : null,
  };
}
