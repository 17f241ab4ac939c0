/**
 * Where a number may be wrong: the calibration factors, which tests teach, and what no test teaches: methods, the day, the
 * masses of the parts. Factors act as they stand; everything else is counted in spreads of its own, nil at rest.
 */
import { factorsOf, type FactorId } from '../design';

/** What a spread may come from beside the calibration factors. */
export const INPUTS = [
  { id: 'items', name: 'masses of the parts' },
  { id: 'wind', name: 'wind of the day' },
  { id: 'friction', name: 'rolling friction' },
  { id: 'temperature', name: 'temperature' },
  { id: 'liftSlope', name: 'lattice lift slope' },
  { id: 'yaw', name: 'fin and body in yaw' },
  { id: 'stallAngle', name: 'angle of the stall' },
  { id: 'rubber', name: 'rubber of the batch' },
] as const;
export type InputId = (typeof INPUTS)[number]['id'];
export const INPUT_IDS: readonly InputId[] = INPUTS.map((i) => i.id);

/** Mass and CG of every state, by so many of its own steps (`massSteps`): `items` is found through these. */
export const PLACE_IDS = ['mass', 'x', 'z'] as const;
export type PlaceId = (typeof PLACE_IDS)[number];

export type CauseId = FactorId | Exclude<InputId, 'items'> | PlaceId;
export type Causes = Readonly<Record<CauseId, number>>;

/** Relative spreads of methods that no test teaches. Common practice, no source, but for the lattice: see docs/methods.md. */
export const METHOD_SPREAD = { liftSlope: 0.05, yaw: 0.15, stallAngle: 0.1, rubber: 0.08 } as const;

export const OTHER_CAUSES: readonly Exclude<CauseId, FactorId>[] = [
  ...INPUT_IDS.filter((i) => i !== 'items'),
  ...PLACE_IDS,
];

/** All causes at rest, the factors at a mean [order of FACTOR_IDS]. */
export function causesAt(mean: readonly number[]): Causes {
  const rest = Object.fromEntries(OTHER_CAUSES.map((id) => [id, 0]));
  return { ...factorsOf(mean), ...rest } as unknown as Causes;
}

/** What a method gives, off by so many of its spreads. */
export function off(id: keyof typeof METHOD_SPREAD, spreads: number): number {
  return 1 + spreads * METHOD_SPREAD[id];
}
