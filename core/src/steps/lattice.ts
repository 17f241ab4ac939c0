/** The lattice of all surfaces, its strips coupled to their sections, and what the bodies add to it. */
import {
  bodySlopes,
  coupleStrips,
  drooped,
  momentLines,
  nearMoments,
  rudderPower,
  sideslipSlopes,
  solveLattice,
  type BodySlopes,
  type CoupledStrips,
  type LatticeSolution,
  type MomentLines,
  type NearMoments,
} from '../surface';
import { heaviest } from './balance';
import { quantitiesOf, part } from './quantity';
import { sections } from './sections';
import { shape } from './shape';
import { off } from './causes';
import { NOTHING, step } from './step';

export const VLM = 'Vortex lattice, 16 × 4 panels a half wing (Katz and Plotkin, Low-Speed Aerodynamics)';

/** A handful of shapes: a solution holds some megabytes. */
const SHAPES = 12;

export const lattice = step({
  id: 'lattice',
  scope: 'all',
  // nothing flows about what has no wing
  needs: { sections, shape },
  keeps: SHAPES,
  slice: ({ design, flaps }) => ({ surfaces: drooped(design, flaps).surfaces }),
  run: ({ sections }, design): LatticeSolution => solveLattice(design, sections.contours),
});

export const coupled = step({
  id: 'coupled strips',
  scope: 'all',
  needs: { lattice },
  keeps: SHAPES,
  slice: NOTHING,
  run: ({ lattice }): CoupledStrips => coupleStrips(lattice),
});

export const bodies = step({
  id: 'bodies',
  scope: 'all',
  needs: { lattice },
  slice: ({ design: { surfaces, body, pods } }) => ({ surfaces, body, pods }),
  run: ({ lattice }, design): BodySlopes => bodySlopes(design, lattice),
});

/** Height of the CG that moments are taken about. */
const momentHeight = step({
  id: 'moment height',
  scope: 'all',
  needs: { heaviest },
  byContent: true,
  slice: NOTHING,
  run: ({ heaviest }): { z: number } => ({ z: heaviest.z }),
});

export const lines = step({
  id: 'moments by height',
  scope: 'all',
  needs: { lattice },
  slice: NOTHING,
  run: ({ lattice }): MomentLines => momentLines(lattice),
});

/** Pitching moments of the surfaces about the height of the heaviest state's CG. */
export const moments = step({
  id: 'moments',
  scope: 'all',
  needs: { lattice, lines, momentHeight },
  slice: NOTHING,
  run: ({ lattice, lines, momentHeight }): NearMoments => nearMoments(lattice, momentHeight.z, lines),
});

export interface Lateral {
  readonly CYbeta: number;
  readonly Cnbeta: number;
}

/** Side force and yawing moment by sideslip about the lattice's reference point. */
export const lateral = step({
  id: 'lateral',
  scope: 'all',
  needs: { lattice, bodies },
  slice: NOTHING,
  run: ({ lattice, bodies }): Lateral =>
    sideslipSlopes(lattice, { alpha: 0.05, elevator: 0, x: lattice.refX, z: 0 }, bodies),
});

const YAWS = new Set(['rudder', 'ruddervator']);

/** Most yawing moment of the rudder; null without one. */
export const rudder = step({
  id: 'rudder',
  scope: 'all',
  needs: { lattice },
  slice: ({ design: { surfaces } }) => ({
    throws: surfaces.flatMap((s) => s.controls.filter((c) => YAWS.has(c.kind)).map((c) => c.maxDeflection)),
  }),
  run: ({ lattice }, { throws }): { most: number | null } => ({
    most: throws.length > 0 ? Math.abs(rudderPower(lattice)) * Math.min(...throws) : null,
  }),
});

/** The slope as it is told: what the lattice leaves open moves this number alone. */
const slope = step({
  id: 'lift slope',
  scope: 'all',
  needs: { lattice },
  causes: ['liftSlope'],
  slice: NOTHING,
  run: ({ lattice }, _, causes): { perRad: number } => ({
    perRad: lattice.coefficients.clAlpha * off('liftSlope', causes.liftSlope),
  }),
});

const LATTICE = quantitiesOf(slope, {
  liftSlope: {
    name: 'Lift slope',
    kind: 'perRad',
    station: 'shape',
    formula: 'dCL/dα',
    method: VLM,
    read: (r) => r.perRad,
  },
});

export const LATTICE_PART = part(
  [lattice, coupled, bodies, lines, momentHeight, moments, lateral, rudder, slope],
  LATTICE,
);
