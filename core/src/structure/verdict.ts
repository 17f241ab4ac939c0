/** What fails first under a load: the lowest load factor of all places and ways. */
import type { Bearing, Limit, Weak } from './bearing';
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

interface At {
  factor: number;
  weak: Weak | null;
}

/** The lower of strength and stiffness at one place. @param used load over limit, of both */
function lower(a: number, aBy: Weak | null, b: number, bBy: Weak | null): At {
  const one = a > 0 ? 1 / a : Infinity,
    other = b > 0 ? 1 / b : Infinity;
  return one <= other ? { factor: one, weak: aBy } : { factor: other, weak: bBy };
}

const ratio = (load: number, limit: number): number => (load === 0 ? 0 : load / limit);

/** At one place of the grid. */
export function factorAt(b: Bearing, load: Carried, p: number, f: Learnt): At {
  const M = load.moment[p],
    V = Math.abs(load.shear[p]),
    T = Math.abs(load.torque[p]),
    bends: Limit = M >= 0 ? b.up : b.down;
  const bending = lower(
    ratio(Math.abs(M), bends.strength[p] * f.strength),
    bends.strengthBy[p],
    ratio(Math.abs(M), bends.stiffness[p] * f.stiffness),
    bends.stiffnessBy[p],
  );
  // shear of both runs in the same walls: their shares add
  const v = ratio(V, b.shear.strength[p] * f.strength),
    t = ratio(T, b.torque.strength[p] * f.strength),
    sheared = lower(
      v + t,
      v >= t ? b.shear.strengthBy[p] : b.torque.strengthBy[p],
      ratio(V, b.shear.stiffness[p] * f.stiffness) + ratio(T, b.torque.stiffness[p] * f.stiffness),
      b.shear.stiffnessBy[p],
    );
  return bending.factor <= sheared.factor ? bending : sheared;
}

export function verdictOf(b: Bearing, load: Carried, f: Learnt): Verdict {
  let first: Verdict = { factor: Infinity, y: 0, weak: null };
  for (let p = 0; p < b.y.length; p++) {
    const { factor, weak } = factorAt(b, load, p, f);
    // of places that are alike the inner one
    if (factor < first.factor * (1 - 1e-9)) first = { factor, y: b.y[p], weak };
  }
  return first;
}
