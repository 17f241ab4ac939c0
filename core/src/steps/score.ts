/** Numbers that are told of other numbers: points by the brief's formulas, chances by predictions and their spreads. */
import type { QuantityDef } from './quantity';

type Row = Omit<QuantityDef, 'id'>;

const ROWS = {
  stripChance: {
    name: 'Chance of leaving the strip',
    kind: 'percent',
    scope: 'state',
    station: 'flight',
    formula: 'Φ( (strip − {groundRun}) / its uncertainty )',
    method: 'Normal distribution of the prediction',
    better: 'more',
  },
  points: {
    name: 'Task points',
    kind: 'points',
    scope: 'state',
    station: 'score',
    formula: 'the task’s formula',
    method: 'Formula of the brief',
    better: 'more',
  },
  score: {
    name: 'Score',
    kind: 'points',
    scope: 'state',
    station: 'score',
    formula: 'sum of the tasks',
    method: 'Formulas of the brief',
    better: 'more',
  },
  bestScore: {
    name: 'Best score',
    kind: 'points',
    scope: 'all',
    station: 'score',
    formula: 'greatest {score} over the states',
    method: 'Every state scored',
    better: 'more',
  },
  bestCount: {
    name: 'Best payload count',
    kind: 'count',
    scope: 'all',
    station: 'score',
    formula: 'the state with the greatest {score}',
    method: 'Every state scored',
    better: 'more',
  },
} as const satisfies Record<string, Row>;

export const TOLD = Object.fromEntries(Object.entries(ROWS).map(([id, r]) => [id, { id, ...r }])) as {
  readonly [K in keyof typeof ROWS]: QuantityDef;
};
