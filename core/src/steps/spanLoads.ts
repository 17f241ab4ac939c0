/** What stands in the wing, and what each load case asks of it. */
import { G0 } from '../air';
import type { Design } from '../design';
import { stallSpeed } from '../flight';
import { sectionClMax, sectionClMin, type PolarSet } from '../section';
import {
  bearingOf,
  leastLift,
  loadCases,
  membersNamed,
  siteGust,
  spanOf,
  type Bearing,
  type LoadCase,
  type LoadStrip,
  type OwnMass,
  type Span,
} from '../structure';
import { actingLift, trimmedLoads, type LatticeSolution } from '../surface';
import { air } from './air';
import { balance } from './balance';
import { climb } from './climb';
import { lattice } from './lattice';
import { lift } from './lift';
import { part } from './quantity';
import { sections } from './sections';
import { shape } from './shape';
import { trust } from './speeds';
import { aero } from './stability';
import { NOTHING, step, type Source } from './step';

/** Members, outlines and stations; names weigh nothing. */
function built({ design: { structure, surfaces, sections } }: Source) {
  return {
    structure: { members: structure.members, materials: structure.materials },
    surfaces,
    sections: sections.map(({ id, shape, change }) => ({ id, shape, change, name: '', note: '' })),
  };
}

/** What stands in the wing; null where nothing is drawn, or a material of it is not known. */
export const bearing = step({
  id: 'bearing',
  scope: 'all',
  needs: {},
  keeps: 60,
  slice: built,
  run: (_, design): Bearing | null => {
    const found = bearingOf(design as unknown as Pick<Design, 'structure' | 'surfaces' | 'sections'>);
    return found.status === 'bears' ? found.bearing : null;
  },
});

interface Half {
  readonly span: Span;
  /** index of its strips in the lattice */ readonly strips: readonly number[];
}

/** Strips of the lattice over the half that bears. */
const half = step({
  id: 'bearing half',
  scope: 'all',
  needs: { lattice, bearing },
  keeps: 60,
  slice: NOTHING,
  run: ({ lattice, bearing }): Half | null => {
    if (!bearing) return null;
    const strips = lattice.strips.flatMap((s, i) => (s.surface === bearing.surface ? [i] : []));
    return {
      strips,
      span: spanOf(
        bearing,
        strips.map((i) => lattice.strips[i]),
      ),
    };
  },
});

interface Lying {
  readonly id: string;
  readonly lies: OwnMass['lies'];
}

/** Lines of the mass list that lie in the wing, and how. Further out than this share of the half they stand at a place. */
const OFF_THE_MIDDLE = 0.05;

function lyingIn({ design }: Source): Lying[] {
  const wing = design.surfaces.find((s) => s.role === 'wing')!,
    end = wing.stations[wing.stations.length - 1].y;
  return design.items.flatMap((item): Lying[] => {
    const { id, planned, part, inWing, y } = item;
    if (part?.kind === 'spar') {
      const of = membersNamed(design, part.of).filter((m) => m.surface === wing.id);
      return of.length > 0 ? [{ id, lies: { kind: 'members', of: of.map((m) => m.id) } }] : [];
    }
    if (planned.kind === 'made' && planned.part === wing.id) return [{ id, lies: { kind: 'chord squared' } }];
    if (planned.kind === 'areal' && planned.surface === wing.id) return [{ id, lies: { kind: 'chord' } }];
    if (!inWing) return [];
    const out = Math.abs(y);
    return out > OFF_THE_MIDDLE * end
      ? [{ id, lies: { kind: 'place', y: Math.min(out, end), aft: 0.4 } }]
      : [{ id, lies: { kind: 'chord' } }];
  });
}

function loadStrips(
  lattice: LatticeSolution,
  at: readonly number[],
  loads: { low: Float64Array; rise: Float64Array },
  polars: ReadonlyMap<string, PolarSet>,
  of: { scale: number; factor: number },
): LoadStrip[] {
  return at.map((i) => {
    const s = lattice.strips[i],
      set = polars.get(s.section)!,
      re = of.scale * s.chord;
    return {
      inner: s.inner,
      width: s.width,
      chord: s.chord,
      low: loads.low[i],
      rise: loads.rise[i],
      most: of.factor * sectionClMax(set, re),
      least: of.factor * sectionClMin(set, re),
      moment: set.moment,
      aileron: s.flaps.aileron === 0 ? 0 : 1,
    };
  });
}

/** A wing that lifts next to nothing on its back is still pushed: at no less than this. Common practice, no source. */
const LEAST_ON_ITS_BACK = -0.2;

export interface Cases {
  readonly cases: readonly LoadCase[];
  /** at 1 g, upright and on its back [m/s] */ readonly stall: number;
  readonly stallDown: number;
  readonly fastest: number;
  /** nobody says how fast it is flown: so many times the stall */ readonly assumed: boolean;
  /** what the air gives at the fastest */ readonly airAllows: number;
}

function askedOf({ brief, design }: Source) {
  const { requiredLoadFactor, requiredNegative, fastest } = design.structure,
    wing = design.surfaces.find((s) => s.role === 'wing')!,
    ailerons = wing.controls.filter((c) => c.kind !== 'flap' && c.kind !== 'elevator');
  return {
    up: requiredLoadFactor,
    down: requiredNegative,
    fastest: fastest ?? null,
    gust: siteGust(brief.site),
    aileron: Math.max(0, ...ailerons.map((c) => c.maxDeflection)),
  };
}

/** Without a motor a dive takes it to about this many times the stall. Common practice, no source. */
const GLIDER_FASTEST = 2;

export const cases = step({
  id: 'load cases',
  scope: 'state',
  needs: { air, sections, shape, lattice, half, aero, trust, balance, lift, climb },
  causes: ['clMax', 'sectionLift'],
  slice: (source) => ({ ...askedOf(source), lying: lyingIn(source) }),
  run: (r, asked, f): Cases | null => {
    const { air, half, balance, lift, climb } = r;
    if (!half) return null;
    const { mass, x, points } = balance.state,
      area = r.shape.wing.area,
      stall = stallSpeed({ mass, density: air.density, area, clMax: lift.clMax }),
      top = climb?.top ?? NaN,
      known = asked.fastest ?? (top > stall ? top : null),
      fastest = known ?? GLIDER_FASTEST * stall;
    const strips = loadStrips(r.lattice, half.strips, trimmedLoads(r.aero, x), r.sections.polars, {
      scale: (stall * air.density) / air.viscosity,
      factor: actingLift(f, r.trust),
    });
    const masses = asked.lying.flatMap(({ id, lies }): OwnMass[] => {
      const point = points.find((p) => p.id === id);
      return point ? [{ mass: point.mass / 2, lies }] : [];
    });
    const slope = r.lattice.coefficients.clAlpha,
      loading = (mass * G0) / area;
    const clMin = Math.min(LEAST_ON_ITS_BACK, leastLift(strips));
    return {
      stall,
      stallDown: stallSpeed({ mass, density: air.density, area, clMax: -clMin }),
      fastest,
      assumed: known === null,
      airAllows: (fastest / stall) ** 2,
      cases: loadCases(half.span, strips, masses, {
        ...asked,
        mass,
        density: air.density,
        area,
        clMax: lift.clMax,
        clMin,
        fastest,
        gusts: { loading, density: air.density, chord: r.shape.wing.mac, slope },
      }),
    };
  },
});

export const LOADS_PART = part([bearing, half, cases], {});
