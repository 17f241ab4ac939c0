/** Largest lift and stall speed of every state; where the stall begins; its angles in the heaviest. */
import { say, type Said } from '../words';
import type { Air } from '../air';
import type { Design } from '../design';
import { stallSpeed } from '../flight';
import { nearestPolar, type PolarSet } from '../section';
import { actingLift, drooped, findLiftLimit, largestLift, type LiftAtStall } from '../surface';
import { air } from './air';
import { balance, heaviestKnown } from './balance';
import { off } from './causes';
import { coupled, lattice } from './lattice';
import { curvesOf, quantitiesOf, remark, part } from './quantity';
import { sections } from './sections';
import { shape } from './shape';
import { trust } from './speeds';
import { aero, latticeFree } from './stability';
import { NOTHING, step, type Source } from './step';

const COUPLED =
  'Vortex lattice with every strip at its section’s lift (decambering, Mukherjee and Gopalarathnam 2006)';

/** Sweeps for the largest lift, each made when it is first asked for. */
export interface Sweeps {
  at(scale: number, x: number): LiftAtStall;
}

export const sweeps = step({
  id: 'stall sweeps',
  scope: 'all',
  needs: { sections, coupled, latticeFree },
  keeps: 12,
  slice: ({ design, flaps }) => ({ surfaces: drooped(design, flaps).surfaces }),
  run: ({ sections, coupled, latticeFree }, design): Sweeps => {
    const nodes = new Map<string, LiftAtStall>();
    const kept = (node: string, make: () => LiftAtStall): LiftAtStall => {
      const known = nodes.get(node) ?? make();
      nodes.set(node, known);
      return known;
    };
    const task = { design, coupled, aero: latticeFree, polars: sections.polars, kept };
    return { at: (scale, x) => largestLift(task, scale, x) };
  },
});

interface StallOf {
  air: Air;
  area: number;
  mass: number;
  x: number;
  /** what multiplies the largest lift */ factor: number;
  clAlpha: number;
}

export interface Stall extends LiftAtStall {
  readonly speed: number;
}

/** Largest lift with what was learnt of it, and the speed at which it is met: both settle together. */
function stallOf(sweeps: Sweeps, { air, area, mass, x, factor, clAlpha }: StallOf): Stall {
  const speedAt = (clMax: number) => stallSpeed({ mass, density: air.density, area, clMax });
  let clMax = 1.3 * factor,
    at: LiftAtStall;
  for (let k = 0; k < 3; k++) {
    at = sweeps.at((speedAt(clMax) * air.density) / air.viscosity, x);
    // sections that carry more carry it at a larger angle
    clMax = factor * at.clMax;
  }
  return {
    ...at!,
    clMax,
    alphaStall: at!.alphaStall + (clMax - at!.clMax) / clAlpha,
    speed: speedAt(clMax),
  };
}

export interface Lift extends Stall {
  /** a section of the wing that is known only roughly here, and what is said of it */ readonly rough: {
    section: string;
    warning: string;
  } | null;
}

function roughSection(
  wing: Design['surfaces'][number],
  polars: ReadonlyMap<string, PolarSet>,
  reynoldsOf: (chord: number) => number,
): Lift['rough'] {
  for (const st of wing.stations) {
    const p = nearestPolar(polars.get(st.section)!, reynoldsOf(st.chord));
    if (p?.confidence === 'low') return { section: st.section, warning: p.warnings[0] ?? '' };
  }
  return null;
}

const mainWing = ({ design, flaps }: Source) => ({
  wing: drooped(design, flaps).surfaces.find((s) => s.role === 'wing')!,
});

export const lift = step({
  id: 'lift',
  scope: 'state',
  needs: { air, sections, shape, lattice, sweeps, trust, balance },
  causes: ['clMax', 'sectionLift'],
  slice: mainWing,
  run: (r, { wing }, f): Lift => {
    const { air, balance } = r;
    const at = stallOf(r.sweeps, {
      air,
      area: r.shape.wing.area,
      mass: balance.state.mass,
      x: balance.state.x,
      factor: actingLift(f, r.trust),
      clAlpha: r.lattice.coefficients.clAlpha,
    });
    const rough = roughSection(wing, r.sections.polars, (c) => (at.speed * c * air.density) / air.viscosity);
    return { ...at, rough };
  },
});

interface StallOrder {
  readonly eta: number;
  /** local lift over section limit along the wing, root first */ readonly ratio: readonly number[];
  readonly y: readonly number[];
  /** wing's lift coefficient at its own first stall less the foreplane's; undefined without a foreplane */
  readonly foreplane: number | undefined;
}

/** What stands ahead lets go before the wing does: by how much more lift the wing still has. */
function foreplaneLead(surfaces: Design['surfaces'], by: ReadonlyMap<string, number>): number | undefined {
  const at = (role: 'wing' | 'canard') =>
    Math.min(...surfaces.filter((s) => s.role === role).map((s) => by.get(s.id) ?? Infinity));
  const lead = at('wing') - at('canard');
  return Number.isFinite(lead) ? lead : undefined;
}

/** Where on the span the first strip lets go: known to about a strip. */
export const stallOrder = step({
  id: 'stall order',
  scope: 'state',
  needs: { air, sections, shape, aero, trust, balance, lift },
  causes: ['clMax', 'sectionLift', 'stallAngle'],
  slice: ({ design: { surfaces } }) => ({ surfaces }),
  run: ({ air, sections, shape, aero, trust, balance, lift }, { surfaces }, f): StallOrder => {
    const nu = air.viscosity / air.density;
    const limit = findLiftLimit(
      aero,
      balance.state.x,
      sections.polars,
      (c) => (lift.speed * c) / nu,
      actingLift(f, trust),
    );
    const half = shape.wing.span / 2;
    return {
      eta: limit.eta + f.stallAngle * limit.width,
      ratio: limit.ratios().map((p) => p.ratio),
      y: aero.sol.strips.flatMap((s) => (s.role === 'wing' ? [s.y / half] : [])),
      foreplane: foreplaneLead(surfaces, limit.bySurface),
    };
  },
});

interface StallAngles {
  readonly alpha: number;
  readonly reserve: number | undefined;
  readonly unsure: boolean;
}

/** Angles of the stall belong to the heaviest state that flies. */
const stallAngles = step({
  id: 'stall angles',
  scope: 'all',
  needs: { air, shape, lattice, sweeps, trust, heaviestKnown },
  causes: ['clMax', 'sectionLift', 'stallAngle'],
  slice: NOTHING,
  run: (r, _, f): StallAngles => {
    const worst = stallOf(r.sweeps, {
      air: r.air,
      area: r.shape.wing.area,
      mass: r.heaviestKnown.mass,
      x: r.heaviestKnown.x,
      factor: actingLift(f, r.trust),
      clAlpha: r.lattice.coefficients.clAlpha,
    });
    // two angles of one sweep: their difference is known no better than a share of it
    const share = off('stallAngle', f.stallAngle);
    return {
      alpha: share * worst.alphaStall,
      reserve: worst.reserve === null ? undefined : share * worst.reserve,
      unsure: worst.reserveUnsure,
    };
  },
});

function liftRemarks({ rough, unsure }: Lift, { design, flaps }: Source): Said[] {
  const name = rough && drooped(design, flaps).sections.find((s) => s.id === rough.section)!.name;
  return [
    ...(rough ? [say('rough-section', { name: name as string, warning: rough.warning })] : []),
    ...remark(unsure, 'stall-not-settled', {}),
  ];
}

const LIFT = {
  ...quantitiesOf(lift, {
    clMax: {
      name: 'Largest lift coefficient',
      kind: 'ratio',
      station: 'flight',
      formula: 'first strip at its section’s limit, trimmed, times what the coupled strips carry past it',
      method:
        'Critical section, corrected by decambered strips; section limits from panels and boundary layers ' +
        'solved together (Drela and Giles 1987), or from theory and tests for thin sheets',
      better: 'more',
      read: (r) => r.clMax,
      remarks: liftRemarks,
    },
    stallSpeed: {
      name: 'Stall speed',
      kind: 'speed',
      station: 'flight',
      formula: '√( 2 · {mass} · g / ( {airDensity} · {wingArea} · {clMax} ) )',
      method: 'Anderson, Introduction to Flight, 6.67',
      better: 'less',
      read: (r) => r.speed,
    },
  }),
  ...quantitiesOf(stallOrder, {
    stallEta: {
      name: 'Stall begins at span fraction',
      kind: 'chordPercent',
      station: 'flight',
      formula: 'place of the first strip at its limit',
      method: 'Critical section',
      read: (r) => r.eta,
    },
    foreplaneLead: {
      name: 'Foreplane stalls before the wing by',
      kind: 'ratio',
      station: 'shape',
      formula: 'trimmed lift coefficient at the wing’s first stall − at the foreplane’s',
      method: 'Critical section',
      better: 'more',
      read: (r) => r.foreplane,
    },
  }),
  ...quantitiesOf(stallAngles, {
    stallAngle: {
      name: 'Stall angle',
      kind: 'angle',
      station: 'shape',
      formula: 'angle of attack at the largest lift, heaviest state',
      method: COUPLED,
      read: (r) => r.alpha,
    },
    aileronReserve: {
      name: 'Ailerons answer past the first stall',
      kind: 'angle',
      station: 'shape',
      formula:
        'angle at which half of the ailerons’ span has stalled − angle at which the wing’s first strip stalls',
      method: COUPLED,
      better: 'more',
      read: (r) => r.reserve,
      remarks: (r) => remark(r.unsure, 'reserve-not-settled', {}),
    },
  }),
};

const LIFT_CURVES = curvesOf(stallOrder, {
  stallRatio: { xKind: 'chordPercent', yKind: 'percent', read: (r) => ({ x: r.y, y: r.ratio }) },
});

export const LIFT_PART = part([sweeps, lift, stallOrder, stallAngles], LIFT, LIFT_CURVES);
