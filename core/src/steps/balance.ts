/** Mass, CG and inertia of every state, as far as is known; the heaviest of them; what was planned. */
import { hovers, type State } from '../design';
import { heaviestState, itemPoints, ladenState, massSteps, type MassState, type PointMass } from '../mass';
import type { Causes } from './causes';
import { quantitiesOf, part } from './quantity';
import { NOTHING, step, type Source } from './step';

/** What every mass is made of; the name of the payload weighs nothing. */
function massParts({ design }: Source) {
  const { items, surfaces, body, sections, power, drives, thrusters, structure, payload } = design;
  return {
    design: {
      items,
      surfaces,
      body,
      sections: sections.map(({ id, shape, change }) => ({ id, shape, change, name: '', note: '' })),
      power,
      drives,
      thrusters,
      // what is asked of it weighs nothing
      structure: {
        ...structure,
        requiredLoadFactor: 0,
        requiredNegative: 0,
        safetyFactor: 0,
        flown: [],
        fastest: 0,
        arms: [],
        others: [],
      },
      payload: { ...payload, name: '' },
    },
    // the bay is as long as the most that any state carries
    most: Math.max(...design.states.map((l) => l.count)),
  };
}

/** What one state changes. */
function stateParts({ count, leaves, moved, absent, towed }: State) {
  return { count, leaves, moved, absent, towed };
}

type Masses = ReturnType<typeof massParts>;

/** Gone through once, and shared by all states. */
const masses = step({
  id: 'masses',
  scope: 'all',
  needs: {},
  slice: massParts,
  run: (_, parts): Masses => parts,
});

const bayOf = ({ design, most }: Masses) => ({ payload: design.payload, states: [{ count: most }] });

/** Items where they stand: with nothing learnt, as they are known, and as planned whatever the scale says. */
interface Items {
  readonly points: readonly PointMass[];
}

const unlearntItems = step({
  id: 'items, nothing learnt',
  scope: 'all',
  needs: { masses },
  slice: NOTHING,
  run: ({ masses }): Items => ({ points: itemPoints(masses.design, 'best', 1) }),
});

const knownItems = step({
  id: 'items',
  scope: 'all',
  needs: { masses },
  causes: ['massGrowth'],
  slice: NOTHING,
  run: ({ masses }, _, f): Items => ({ points: itemPoints(masses.design, 'best', f.massGrowth) }),
});

const plannedItems = step({
  id: 'items as planned',
  scope: 'all',
  needs: { masses },
  slice: NOTHING,
  run: ({ masses }): Items => ({ points: itemPoints(masses.design, 'plan', 1) }),
});

/** The states that bear on which is the heaviest. */
const allStates = ({ design }: Source) =>
  design.states.map((l) => ({ ...stateParts(l), hover: hovers(design, l) }));

const heaviestOf = ({ points }: Items, masses: Masses, states: ReturnType<typeof allStates>): MassState =>
  heaviestState(points, { payload: masses.design.payload, states });

/** Mass and place of the CG along x by so many of the state's own steps. */
function nudged(state: MassState, n: Pick<Causes, 'mass' | 'x'>): MassState {
  if (!n.mass && !n.x) return state;
  const h = massSteps(state);
  return { ...state, mass: state.mass + n.mass * h.mass, x: state.x + n.x * h.x };
}

/** Height of the CG by so many of the state's own steps: for the few who ask for it [m]. */
export function heightOf(state: MassState, n: Pick<Causes, 'z'>): number {
  return n.z ? state.z + n.z * massSteps(state).z : state.z;
}

/** The heaviest state that flies, with nothing learnt. */
export const heaviest = step({
  id: 'heaviest',
  scope: 'all',
  needs: { masses, unlearntItems },
  slice: (source) => ({ states: allStates(source) }),
  run: ({ masses, unlearntItems }, { states }): MassState => heaviestOf(unlearntItems, masses, states),
});

/** As far as is known, before its mass and CG are moved. */
const heaviestLaden = step({
  id: 'heaviest laden',
  scope: 'all',
  needs: { masses, knownItems },
  slice: (source) => ({ states: allStates(source) }),
  run: ({ masses, knownItems }, { states }): MassState => heaviestOf(knownItems, masses, states),
});

/** The same as it is known. */
export const heaviestKnown = step({
  id: 'heaviest known',
  scope: 'all',
  needs: { heaviestLaden },
  causes: ['mass', 'x'],
  slice: NOTHING,
  run: ({ heaviestLaden }, _, f): MassState => nudged(heaviestLaden, f),
});

export interface Balance {
  readonly state: MassState;
  readonly payload: number;
  readonly count: number;
}

/** As far as is known, before its mass and CG are moved. */
const laden = step({
  id: 'laden',
  scope: 'state',
  needs: { masses, knownItems },
  slice: (_, state) => stateParts(state),
  run: ({ masses, knownItems }, state): MassState => ladenState(knownItems.points, bayOf(masses), state),
});

export const balance = step({
  id: 'balance',
  scope: 'state',
  needs: { masses, laden },
  causes: ['mass', 'x'],
  slice: (_, { count }) => ({ count }),
  run: ({ masses, laden }, { count }, f): Balance => ({
    state: nudged(laden, f),
    payload: count * masses.design.payload.unitMass,
    count,
  }),
});

/** With nothing learnt: what tables are made about. */
export const unlearnt = step({
  id: 'balance, nothing learnt',
  scope: 'state',
  needs: { masses, unlearntItems },
  slice: (_, state) => stateParts(state),
  run: ({ masses, unlearntItems }, state): MassState =>
    ladenState(unlearntItems.points, bayOf(masses), state),
});

/** As planned, whatever the scale says. */
const planned = step({
  id: 'planned mass',
  scope: 'state',
  needs: { masses, plannedItems },
  slice: (_, state) => stateParts(state),
  run: ({ masses, plannedItems }, state): { mass: number } => ({
    mass: ladenState(plannedItems.points, bayOf(masses), state).mass,
  }),
});

const LEDGER = 'Mass ledger';

const BALANCE = {
  ...quantitiesOf(balance, {
    mass: {
      name: 'All-up mass',
      kind: 'allUpMass',
      station: 'balance',
      formula: 'sum of parts (weighed where weighed) + {payloadMass}',
      method: LEDGER,
      better: 'less',
      read: (r) => r.state.mass,
    },
    payloadMass: {
      name: 'Payload',
      kind: 'mass',
      station: 'balance',
      formula: '{payloadCount} · unit mass',
      method: LEDGER,
      better: 'more',
      read: (r) => r.payload,
    },
    payloadCount: {
      name: 'Payload count',
      kind: 'count',
      station: 'balance',
      formula: 'set by the state',
      method: 'State',
      better: 'more',
      read: (r) => r.count,
    },
    cgX: {
      name: 'Centre of gravity',
      kind: 'length',
      station: 'balance',
      formula: 'Σ m·x / {mass}',
      method: LEDGER,
      read: (r) => r.state.x,
    },
    cgSpread: {
      name: 'Uncertainty of the CG',
      kind: 'length',
      station: 'balance',
      formula: '√ Σ (mass uncertainty · distance from {cgX})² / {mass}',
      method: 'Spread of each item’s mass',
      better: 'less',
      read: (r) => r.state.sigmaX,
    },
  }),
  ...quantitiesOf(planned, {
    plannedMass: {
      name: 'Planned mass',
      kind: 'allUpMass',
      station: 'balance',
      formula: 'sum of planned parts + {payloadMass}',
      method: 'Mass ledger, scale ignored',
      better: 'less',
      read: (r) => r.mass,
    },
  }),
};

export const BALANCE_PART = part(
  [
    masses,
    unlearntItems,
    knownItems,
    plannedItems,
    heaviest,
    heaviestLaden,
    heaviestKnown,
    laden,
    unlearnt,
    balance,
    planned,
  ],
  BALANCE,
);
