/** Mass, CG and inertia of every state, as far as is known; the heaviest of them; what was planned. */
import { hovers, type State } from '../design';
import { heaviestState, loadedState, massSteps, type MassState } from '../mass';
import type { Causes } from './causes';
import { quantitiesOf, part } from './quantity';
import { step, type Source } from './step';

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
      structure,
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
export const masses = step({
  id: 'masses',
  scope: 'all',
  needs: {},
  slice: massParts,
  run: (_, parts): Masses => parts,
});

const designOf = ({ design, most }: Masses) => ({ ...design, states: [{ count: most }] });

/** The states that bear on which is the heaviest. */
const allStates = ({ design }: Source) => design.states.map((l) => ({ ...stateParts(l), hover: hovers(l) }));

const withStates = (masses: Masses, states: ReturnType<typeof allStates>) => ({
  ...masses.design,
  states: states,
});

/** Mass and CG by so many of the state's own steps. */
function nudged(state: MassState, n: Pick<Causes, 'mass' | 'x' | 'z'>): MassState {
  if (!n.mass && !n.x && !n.z) return state;
  const h = massSteps(state);
  return {
    ...state,
    mass: state.mass + n.mass * h.mass,
    x: state.x + n.x * h.x,
    z: state.z + n.z * h.z,
  };
}

/** The heaviest state that flies, with nothing learnt. */
export const heaviest = step({
  id: 'heaviest',
  scope: 'all',
  needs: { masses },
  slice: (source) => ({ states: allStates(source) }),
  run: ({ masses }, { states }): MassState => heaviestState(withStates(masses, states), 1),
});

/** The same as it is known. */
export const heaviestKnown = step({
  id: 'heaviest known',
  scope: 'all',
  needs: { masses },
  causes: ['massGrowth', 'mass', 'x', 'z'],
  slice: (source) => ({ states: allStates(source) }),
  run: ({ masses }, { states }, f): MassState =>
    nudged(heaviestState(withStates(masses, states), f.massGrowth), f),
});

export interface Balance {
  readonly state: MassState;
  readonly payload: number;
  readonly count: number;
}

export const balance = step({
  id: 'balance',
  scope: 'state',
  needs: { masses },
  causes: ['massGrowth', 'mass', 'x', 'z'],
  slice: (_, state) => stateParts(state),
  run: ({ masses }, state, f): Balance => ({
    state: nudged(loadedState(designOf(masses), state, 'best', f.massGrowth), f),
    payload: state.count * masses.design.payload.unitMass,
    count: state.count,
  }),
});

/** With nothing learnt: what tables are made about. */
export const unlearnt = step({
  id: 'balance, nothing learnt',
  scope: 'state',
  needs: { masses },
  slice: (_, state) => stateParts(state),
  run: ({ masses }, state): MassState => loadedState(designOf(masses), state, 'best', 1),
});

/** As planned, whatever the scale says. */
export const planned = step({
  id: 'planned mass',
  scope: 'state',
  needs: { masses },
  slice: (_, state) => stateParts(state),
  run: ({ masses }, state): { mass: number } => ({
    mass: loadedState(designOf(masses), state, 'plan', 1).mass,
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

export const BALANCE_PART = part([masses, heaviest, heaviestKnown, unlearnt, balance, planned], BALANCE);
