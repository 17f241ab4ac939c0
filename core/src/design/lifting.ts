/** Rotors that carry the aircraft when it hangs, wherever they point in cruise. */
import type { Thruster } from './driveSchema';
import { drivesOf, thrustersOf, type Driven } from './powertrain';

export interface LiftingPlace {
  readonly id: string;
  readonly name: string;
  readonly x: number;
  readonly y: number;
  readonly z: number;
  /** as claimed [N]; null where nobody did */ readonly maxThrust: number | null;
  readonly turns: Thruster['turns'] | null;
  /** swings between lifting and pulling */ readonly tilts: boolean;
}

const swings = (t: Thruster) => t.tilt !== undefined && t.tilt.to > 1;

/** Those of the lift drive, or the tilting shafts of the forward one; those that stand nowhere yet are left out. */
export function liftingPlaces(d: Pick<Driven, 'drives' | 'thrusters'>): LiftingPlace[] {
  const { forward, lift } = drivesOf(d),
    up = lift ? thrustersOf(d, lift.id) : [],
    tilting = forward ? thrustersOf(d, forward.id).filter(swings) : [];
  return (up.length > 0 ? up : tilting).flatMap((t) =>
    t.x === null || t.y === null || t.z === null
      ? []
      : [
          {
            id: t.id,
            name: t.name,
            x: t.x,
            y: t.y,
            z: t.z,
            maxThrust: t.maxThrust ?? null,
            turns: t.turns ?? null,
            tilts: swings(t),
          },
        ],
  );
}

/** How many carry it, placed or not. */
export function liftingCount(d: Pick<Driven, 'drives' | 'thrusters'>): number {
  const { forward, lift } = drivesOf(d);
  if (lift) return thrustersOf(d, lift.id).length;
  return forward ? thrustersOf(d, forward.id).filter(swings).length : 0;
}

/** Where rotors push together that push alike: the CG belongs there; null without any. */
export function thrustCentre(places: readonly { x: number; y: number }[]): { x: number; y: number } | null {
  const n = places.length;
  if (n === 0) return null;
  return { x: places.reduce((s, p) => s + p.x, 0) / n, y: places.reduce((s, p) => s + p.y, 0) / n };
}
