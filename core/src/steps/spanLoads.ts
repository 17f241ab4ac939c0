/** What stands in the wing, and what each load case asks of it. */
import { G0 } from '../air';
import type { Design } from '../design';
import type { MassState } from '../mass';
import { stallSpeed } from '../flight';
import { sectionClMax, sectionClMin, type PolarSet } from '../section';
import {
  addTo,
  bearingOf,
  leastLift,
  membersNamed,
  nothing,
  siteGust,
  spanOf,
  weightOf,
  type Bearing,
  type Carried,
  type CasesOf,
  type Lies,
  type SectionLimits,
  type Span,
  type SpanStrip,
  type TrimLine,
} from '../structure';
import { actingLift, solveTrim, type LinearAero } from '../surface';
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
import { step, type Source } from './step';

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

interface Lying {
  readonly id: string;
  readonly lies: Lies;
}

/** Further out than this share of the half a line of the mass list stands at a place. */
const OFF_THE_MIDDLE = 0.05;

/** Lines of the mass list that lie in the wing, and how. */
function lyingIn({ design }: Source): Lying[] {
  const wing = design.surfaces.find((s) => s.role === 'wing');
  if (!wing) return [];
  const end = wing.stations[wing.stations.length - 1].y;
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

interface Half {
  readonly span: Span;
  /** section and chord of its strips */ readonly sections: readonly string[];
  /** lines of the mass list in it, with the load of a kilogram of each */ readonly masses: readonly {
    id: string;
    unit: Carried;
  }[];
}

/** Strips of the lattice over the half that bears, and loads of a unit of everything. */
const half = step({
  id: 'bearing half',
  scope: 'all',
  needs: { lattice, bearing, sections },
  keeps: 60,
  slice: (source) => ({ lying: lyingIn(source) }),
  run: ({ lattice, bearing, sections }, { lying }): Half | null => {
    if (!bearing) return null;
    const at = lattice.strips.flatMap((s, i) => (s.surface === bearing.surface ? [i] : []));
    const strips = at.map((i): SpanStrip => {
      const { inner, width, chord, section, flaps } = lattice.strips[i];
      return {
        inner,
        width,
        chord,
        shape: lattice.shape[i],
        alpha: lattice.alpha[i],
        elevator: lattice.elevator[i],
        moment: sections.polars.get(section)!.moment,
        aileron: flaps.aileron === 0 ? 0 : 1,
      };
    });
    const span = spanOf(bearing, strips);
    return {
      span,
      sections: at.map((i) => lattice.strips[i].section),
      masses: lying.map(({ id, lies }) => ({ id, unit: weightOf(span, lies) })),
    };
  },
});

/** What every strip's section lifts at most and at least, at its own Reynolds number. */
function limitsOf(
  { span, sections }: Half,
  polars: ReadonlyMap<string, PolarSet>,
  scale: number,
  factor: number,
): SectionLimits {
  const { strips } = span,
    most = new Float64Array(strips.length),
    least = new Float64Array(strips.length);
  strips.forEach(({ chord }, j) => {
    // strips of one chord and section side by side are alike
    if (j > 0 && chord === strips[j - 1].chord && sections[j] === sections[j - 1]) {
      most[j] = most[j - 1];
      least[j] = least[j - 1];
      return;
    }
    const set = polars.get(sections[j])!;
    most[j] = factor * sectionClMax(set, scale * chord);
    least[j] = factor * sectionClMin(set, scale * chord);
  });
  return { most, least };
}

function trimLine(aero: LinearAero, x: number): TrimLine {
  const low = solveTrim(aero, 0, x),
    one = solveTrim(aero, 1, x);
  return {
    low,
    rise: { alpha: one.alpha - low.alpha, elevator: one.elevator - low.elevator },
  };
}

/** Weight of everything in the half at 1 g: half of each line, whose other half lies on the other side. */
function weightIn({ span, masses }: Half, points: MassState['points']): Carried {
  const weight = nothing(span.bearing.y.length);
  for (const { id, unit } of masses) {
    const point = points.find((p) => p.id === id);
    if (point) addTo(weight, unit, point.mass / 2);
  }
  return weight;
}

/** A wing that lifts next to nothing on its back is still pushed: at no less than this. Common practice, no source. */
const LEAST_ON_ITS_BACK = -0.2;

export interface Cases extends CasesOf {
  /** at 1 g, upright and on its back [m/s] */ readonly stall: number;
  readonly stallDown: number;
  readonly fastest: number;
  /** nobody says how fast it is flown: so many times the stall */ readonly assumed: boolean;
  /** what the air gives at the fastest */ readonly airAllows: number;
}

function askedOf({ brief, design }: Source) {
  const { requiredLoadFactor, requiredNegative } = design.structure,
    wing = design.surfaces.find((s) => s.role === 'wing'),
    ailerons = (wing?.controls ?? []).filter((c) => c.kind !== 'flap' && c.kind !== 'elevator');
  return {
    up: requiredLoadFactor,
    down: requiredNegative,
    gust: siteGust(brief.site),
    aileron: Math.max(0, ...ailerons.map((c) => c.maxDeflection)),
  };
}

/** Without a motor a dive takes it to about this many times the stall. Common practice, no source. */
const GLIDER_FASTEST = 2;

/**
 * How fast it is flown: as typed, else the level top speed; null where neither is known. What is asked of a case is a
 * number that somebody holds to: its own spread goes no further.
 */
export const fastest = step({
  id: 'fastest',
  scope: 'state',
  needs: { climb, lift },
  still: true,
  slice: ({ design }) => ({ typed: design.structure.fastest ?? null }),
  run: ({ climb, lift }, { typed }): { speed: number; assumed: boolean } => {
    const top = climb?.top ?? NaN,
      known = typed ?? (top > lift.speed ? top : null);
    return { speed: known ?? GLIDER_FASTEST * lift.speed, assumed: known === null };
  },
});

export const cases = step({
  id: 'load cases',
  scope: 'state',
  needs: { air, sections, shape, lattice, half, aero, trust, balance, lift, fastest },
  causes: ['clMax', 'sectionLift'],
  slice: askedOf,
  run: (r, asked, f): Cases | null => {
    const { air, half, balance, lift, fastest } = r;
    if (!half) return null;
    const { mass, x, points } = balance.state,
      area = r.shape.wing.area,
      trim = trimLine(r.aero, x),
      limits = limitsOf(
        half,
        r.sections.polars,
        (lift.speed * air.density) / air.viscosity,
        actingLift(f, r.trust),
      ),
      clMin = Math.min(LEAST_ON_ITS_BACK, leastLift(half.span, trim, limits));
    return {
      stall: lift.speed,
      stallDown: stallSpeed({ mass, density: air.density, area, clMax: -clMin }),
      fastest: fastest.speed,
      assumed: fastest.assumed,
      airAllows: (fastest.speed / lift.speed) ** 2,
      span: half.span,
      trim,
      limits,
      weight: weightIn(half, points),
      input: {
        ...asked,
        mass,
        density: air.density,
        area,
        clMax: lift.clMax,
        clMin,
        fastest: fastest.speed,
        gusts: {
          loading: (mass * G0) / area,
          density: air.density,
          chord: r.shape.wing.mac,
          slope: r.lattice.coefficients.clAlpha,
        },
      },
    };
  },
});

export const LOADS_PART = part([bearing, half, fastest, cases], {});
