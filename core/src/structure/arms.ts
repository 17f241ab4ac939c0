/**
 * Cantilevers that bear at their end: rotor arms, tail booms, gear legs, motor mounts.
 * A leg that lands from a height h bends until it has taken the fall: n = 1 + sqrt(1 + 2 h / d), d what the weight alone bends
 * it (Gere, Mechanics of Materials, 2.8, impact of a falling weight).
 */
import { G0 } from '../air';
import type { Arm, Member } from '../design';
import { solveCantilever, type CantileverResult, type FirstFailure } from './cantilever';
import type { Material } from './materials';
import type { Learnt } from './verdict';

/** What a state asks of its arms. */
export interface ArmsAsked {
  /** all-up [kg] */ readonly mass: number;
  /** full thrust of one lift rotor [N]; null where none lifts */ readonly thrust: number | null;
  /** dynamic pressure at the fastest [Pa] */ readonly q: number;
  /** load factor asked */ readonly up: number;
  /** plan area by surface [m2] */ readonly areas: Readonly<Record<string, number>>;
}

export interface ArmVerdict {
  readonly id: string;
  readonly name: string;
  readonly kind: Arm['kind'];
  /** at the end of one [N] */ readonly load: number;
  /** times the load is borne */ readonly factor: number;
  readonly first: FirstFailure | null;
  /** of its end under the load [m] */ readonly droop: number;
  /** of all that are alike [kg] */ readonly mass: number;
}

/** Lift coefficient of a tail whose elevator is thrown at the fastest. Common practice, no source. */
const TAIL_THROWN = 0.6;

const asMember = ({ id, name, shape, tip }: Arm): Member => ({
  id,
  name,
  surface: 'none',
  chordPlace: 0.5,
  shape,
  held: 0,
  ...(tip ? { tip } : {}),
});

/** Load at the end of one arm [N]; null where the state has nothing that loads it. @param perNewton what one bends it [m] */
function loadOf(a: Arm, of: ArmsAsked, perNewton: number): number | null {
  switch (a.kind) {
    case 'arm':
      return of.thrust;
    case 'boom': {
      const area = a.surface === undefined ? undefined : of.areas[a.surface];
      return area === undefined ? null : (of.q * area * TAIL_THROWN) / a.count;
    }
    case 'leg': {
      const weight = (of.mass * G0) / a.count;
      return weight * (1 + Math.sqrt(1 + (2 * (a.drop ?? 0)) / (weight * perNewton)));
    }
    default:
      return ((a.hangs ?? 0) * G0 * of.up) / a.count;
  }
}

/** One newton at the end: everything else goes with it. */
function byOne(a: Arm, named: (id: string) => Material | undefined): CantileverResult | null {
  return solveCantilever({ member: asMember(a), named, length: a.length, load: 1, distribution: 'tip' });
}

/** @returns null where a material is not known, or nothing loads it in this state */
export function armVerdict(
  a: Arm,
  of: ArmsAsked,
  named: (id: string) => Material | undefined,
  f: Learnt,
): ArmVerdict | null {
  const one = byOne(a, named);
  if (!one) return null;
  const perNewton = one.deflection[one.deflection.length - 1] / f.stiffness,
    load = loadOf(a, of, perNewton);
  if (load === null || !(load > 0)) return null;
  const { first } = one,
    stands = first ? first.factor * f[first.by] : Infinity;
  return {
    id: a.id,
    name: a.name,
    kind: a.kind,
    load,
    factor: stands / load,
    first,
    droop: perNewton * load,
    mass: one.mass * a.count,
  };
}
