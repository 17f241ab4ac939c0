/** The spar: what it bears, and what every state asks of it. */
import { sparOf, type Design } from '../design';
import { sparCurve, sparSection, type SparCurve } from '../structure';
import { liftShares, solveTrim } from '../surface';
import { balance } from './balance';
import { lift } from './lift';
import { curvesOf, quantitiesOf, part } from './quantity';
import { shape } from './shape';
import { aero } from './stability';
import { step } from './step';

const BEAM = 'Beam under elliptic lift less the weight of the wing (Roark)';

interface Strength {
  /** [N m] */ readonly up: number;
  readonly down: number;
}

const strength = step({
  id: 'spar strength',
  scope: 'all',
  needs: {},
  causes: ['strength'],
  slice: ({ design }) => ({ spar: sparOf(design)?.shape }),
  run: (_, { spar }, f): Strength | null => {
    if (!spar) return null;
    const s = sparSection(spar);
    return { up: s.momentUp * f.strength, down: s.momentDown * f.strength };
  },
});

const stiffness = step({
  id: 'spar stiffness',
  scope: 'all',
  needs: {},
  causes: ['stiffness'],
  slice: ({ design }) => ({ spar: sparOf(design)?.shape }),
  run: (_, { spar }, f): { EI: number } | null =>
    spar ? { EI: sparSection(spar).stiffness * f.stiffness } : null,
});

/** Share of the aircraft that the wing with the spar carries is found this near the largest lift. */
const NEAR_STALL = 0.9;

function wingOf(design: Design) {
  const wing = design.surfaces.find((s) => s.role === 'wing')!;
  return { id: wing.id, places: wing.stations.map((s) => ({ y: s.y, chord: s.chord })) };
}

/** Moment and deflection along the spar at load factor 1. A rear wing or foreplane carries its own, a tail may push down. */
const sparLoad = step({
  id: 'spar load',
  scope: 'state',
  needs: { shape, aero, balance, lift, stiffness },
  slice: ({ design }) => wingOf(design),
  run: ({ shape, aero, balance: { state }, lift, stiffness }, wing): SparCurve | null => {
    if (!stiffness) return null;
    const half = shape.wing.span / 2,
      t = solveTrim(aero, NEAR_STALL * lift.clMax, state.x);
    const carried = state.mass * liftShares(aero.sol, t.alpha, t.elevator)[wing.id];
    const wingMass = state.points.filter((p) => p.inWing).reduce((s, p) => s + p.mass, 0);
    const chords = { eta: wing.places.map((p) => p.y / half), chord: wing.places.map((p) => p.chord) };
    return sparCurve(half, carried, wingMass, chords, Math.max(stiffness.EI, 1e-9));
  },
});

/** [g] */
interface LoadFactors {
  readonly up: number;
  readonly down: number;
  readonly allowed: number;
}

const loadFactors = step({
  id: 'load factors',
  scope: 'state',
  needs: { strength, sparLoad },
  slice: ({ design }) => ({ safety: design.structure.safetyFactor }),
  run: ({ strength, sparLoad }, { safety }): LoadFactors | null =>
    strength &&
    sparLoad && {
      up: strength.up / sparLoad.rootMoment,
      down: strength.down / sparLoad.rootMoment,
      allowed: strength.up / sparLoad.rootMoment / safety,
    },
});

const SPAR = {
  ...quantitiesOf(strength, {
    sparMoment: {
      name: 'Spar moment at failure',
      kind: 'moment',
      station: 'structure',
      formula: 'strength · EI / (E · half depth)',
      method: BEAM,
      better: 'more',
      read: (r) => r?.up,
    },
  }),
  ...quantitiesOf(stiffness, {
    sparStiffness: {
      name: 'Spar bending stiffness',
      kind: 'bendingStiffness',
      station: 'structure',
      formula: 'E · I',
      method: 'Section properties',
      better: 'more',
      read: (r) => r?.EI,
    },
  }),
  ...quantitiesOf(loadFactors, {
    failLoadFactor: {
      name: 'Load factor at failure',
      kind: 'loadFactor',
      station: 'structure',
      formula: '{sparMoment} / root moment at 1 g',
      method: BEAM,
      better: 'more',
      read: (r) => r?.up,
    },
    failLoadFactorDown: {
      name: 'Load factor at failure, downward',
      kind: 'loadFactor',
      station: 'structure',
      formula: '{sparMoment} / root moment at 1 g, lift reversed',
      method: BEAM,
      better: 'more',
      read: (r) => r?.down,
    },
    allowedLoadFactor: {
      name: 'Allowed load factor',
      kind: 'loadFactor',
      station: 'structure',
      formula: '{failLoadFactor} / safety factor',
      method: BEAM,
      better: 'more',
      read: (r) => r?.allowed,
    },
  }),
  ...quantitiesOf(sparLoad, {
    tipDeflection: {
      name: 'Tip deflection at 1 g',
      kind: 'length',
      station: 'structure',
      formula: '∬ M / {sparStiffness}',
      method: BEAM,
      better: 'less',
      read: (r) => r?.tipDeflection,
    },
  }),
};

const SPAR_CURVES = curvesOf(sparLoad, {
  sparMoment: { xKind: 'length', yKind: 'moment', read: (r) => r && { x: r.y, y: r.moment } },
  sparDeflection: { xKind: 'length', yKind: 'length', read: (r) => r && { x: r.y, y: r.deflection } },
});

export const SPAR_PART = part([strength, stiffness, sparLoad, loadFactors], SPAR, SPAR_CURVES);
