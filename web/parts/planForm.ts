/** The plan form of an aircraft: as much of a design as its silhouette needs. */
import { liftingPlaces, powertrainOf, type Design } from '@skiametra/core/design';

/** Radius of a rotor whose size nobody knows [m]. */
const UNKNOWN = 0.1;

export interface PlanForm {
  body: { x: number; width: number }[];
  surfaces: {
    id: string;
    role: Design['surfaces'][number]['role'];
    x: number;
    stations: { x: number; y: number; chord: number }[];
  }[];
  /** rotors that lift; not in those kept by earlier builds */ discs?: { x: number; y: number; r: number }[];
}

/** Rotors that lift, as large as their blades. */
function discsOf(design: Shown): NonNullable<PlanForm['discs']> {
  const across = powertrainOf(design).lift?.propeller.diameter;
  return liftingPlaces(design).map(({ id, x, y }) => {
    const drawn = design.thrusters.find((t) => t.id === id)?.diameter ?? across;
    return { x, y, r: drawn ? drawn / 2 : UNKNOWN };
  });
}

type Shown = Pick<Design, 'body' | 'surfaces' | 'power' | 'drives' | 'thrusters'>;

export function planForm(design: Shown): PlanForm {
  return {
    body: design.body.map(({ x, width }) => ({ x, width })),
    surfaces: design.surfaces.map(({ id, role, x, stations }) => ({
      id,
      role,
      x,
      stations: stations.map((p) => ({ x: p.x, y: p.y, chord: p.chord })),
    })),
    discs: discsOf(design),
  };
}
