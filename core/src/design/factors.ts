/**
 * The calibration factors: where the model may be wrong, by how much it usually is
 * (prior standard deviation), and why that figure. Priors are common practice, no source,
 * unless a reason is given.
 */
import { FACTOR_IDS, type Calibration, type FactorId } from './schema';

export interface Factor {
  readonly id: FactorId;
  readonly name: string;
  readonly mean: number;
  readonly sd: number;
  /** what the factor multiplies or shifts */
  readonly meaning: string;
}

export const FACTORS: readonly Factor[] = [
  {
    id: 'dragArea',
    name: 'drag area',
    mean: 1,
    sd: 0.15,
    meaning:
      'multiplies all drag that does not come from lift; build-ups of small aircraft usually miss by 10 to 20 %',
  },
  { id: 'induced', name: 'induced drag', mean: 1, sd: 0.06, meaning: 'multiplies induced drag' },
  {
    id: 'thrust',
    name: 'thrust',
    mean: 1,
    sd: 0.08,
    meaning: 'multiplies thrust at a given rpm; propellers of one label scatter by about 8 %',
  },
  {
    id: 'electricalLoss',
    name: 'electrical loss',
    mean: 1,
    sd: 0.2,
    meaning: 'multiplies motor, controller and pack resistance and no-load current',
  },
  {
    id: 'capacity',
    name: 'usable capacity',
    mean: 1,
    sd: 0.06,
    meaning: 'multiplies the charge in the pack; packs age',
  },
  {
    id: 'clMax',
    name: 'largest lift coefficient',
    mean: 1,
    sd: 0.08,
    meaning:
      'multiplies the largest lift of the whole: gaps, joints, hand-made surfaces; scatters by 8 % beyond the sections',
  },
  {
    id: 'neutralPoint',
    name: 'neutral point',
    mean: 1,
    sd: 0.03,
    meaning: 'shifts the neutral point aft by (factor - 1) mean chords',
  },
  { id: 'stiffness', name: 'spar stiffness', mean: 1, sd: 0.12, meaning: 'multiplies the bending stiffness' },
  {
    id: 'strength',
    name: 'spar strength',
    mean: 1,
    sd: 0.15,
    meaning: 'multiplies the design strength of the spar material',
  },
  {
    id: 'massGrowth',
    name: 'mass growth',
    mean: 1,
    sd: 0.05,
    meaning: 'multiplies the masses that are not weighed',
  },
  {
    id: 'torque',
    name: 'propeller torque',
    mean: 1,
    sd: 0.08,
    meaning:
      'multiplies the torque the propeller takes at a given rpm; section drag at low Reynolds number is known no better',
  },
  {
    id: 'sectionDrag',
    name: 'section drag',
    mean: 1.09,
    sd: 0.07,
    meaning:
      'multiplies the profile drag of the strips; published least drag lies 9 % above the computed one, with a scatter of 7 %',
  },
  {
    id: 'sectionLift',
    name: 'section largest lift',
    mean: 0.94,
    sd: 0.05,
    meaning:
      'multiplies the largest lift of the strips; published values lie 6 % below the computed ones, with a scatter of 4 %',
  },
];

export type Factors = Readonly<Record<FactorId, number>>;

/** The calibration before any test: prior means, independent priors. */
export function priorCalibration(): Calibration {
  return {
    factors: FACTORS.map((f) => f.id),
    mean: FACTORS.map((f) => f.mean),
    covariance: FACTORS.map((f, i) => FACTORS.map((_, j) => (i === j ? f.sd * f.sd : 0))),
    from: [],
  };
}

/** The calibration vector by name; `shift` adds to one entry. */
export function factorsOf(mean: readonly number[], shiftAt = -1, shift = 0): Factors {
  return Object.fromEntries(
    FACTOR_IDS.map((id, i) => [id, mean[i] + (i === shiftAt ? shift : 0)]),
  ) as unknown as Factors;
}
