/**
 * Packs by chemistry: open-circuit volts against charge, resistance, limits, mass. Curves, rates and masses are typical
 * of published cell data at room temperature (from memory); a measured resistance replaces the estimate.
 */
import { say, type Said } from '../words';
import { clamp, interpolateLinear, requirePositive } from '../numeric';

export const CHEMISTRIES = ['LiPo', 'Li-ion', 'LiFePO4', 'NiMH'] as const;
export type Chemistry = (typeof CHEMISTRIES)[number];

export interface ChemistryFacts {
  readonly id: Chemistry;
  /** [V] per cell: printed on the label, straight off the charger, and the least under load that does not harm it */
  readonly nominal: number;
  readonly full: number;
  readonly least: number;
  /** [V] at `SOC` */ readonly open: readonly number[];
  /** of a finished pack [J/kg] */ readonly specificEnergy: number;
  /** over the resistance rule */ readonly resistanceFactor: number;
  readonly care: string;
}

const SOC = [0, 0.05, 0.1, 0.2, 0.3, 0.5, 0.7, 0.85, 1];
const WH = 3600;

export const CHEMISTRY: Readonly<Record<Chemistry, ChemistryFacts>> = {
  LiPo: {
    id: 'LiPo',
    nominal: 3.7,
    full: 4.2,
    least: 3.3,
    open: [3.27, 3.61, 3.69, 3.73, 3.77, 3.84, 3.96, 4.07, 4.2],
    specificEnergy: 150 * WH,
    resistanceFactor: 1,
    care: 'soft cells: never charge one that is dented or swollen',
  },
  'Li-ion': {
    id: 'Li-ion',
    nominal: 3.6,
    full: 4.2,
    least: 2.8,
    open: [3, 3.2, 3.33, 3.48, 3.57, 3.7, 3.88, 4.02, 4.18],
    specificEnergy: 210 * WH,
    resistanceFactor: 3,
    care: 'steel cans: weld, do not solder onto the cell',
  },
  LiFePO4: {
    id: 'LiFePO4',
    nominal: 3.2,
    full: 3.65,
    least: 2.6,
    open: [2.7, 3.08, 3.18, 3.23, 3.27, 3.3, 3.32, 3.34, 3.46],
    specificEnergy: 95 * WH,
    resistanceFactor: 1.6,
    care: 'charge with its own setting, 3.65 V a cell',
  },
  NiMH: {
    id: 'NiMH',
    nominal: 1.2,
    full: 1.45,
    least: 0.95,
    open: [1.03, 1.16, 1.2, 1.23, 1.25, 1.27, 1.29, 1.32, 1.43],
    specificEnergy: 60 * WH,
    resistanceFactor: 0.5,
    care: 'gets warm at the end of the charge: stop there',
  },
};

export interface PackData {
  series: number;
  parallel: number;
  /** of the pack [A s] */ capacity: number;
  /** of one cell, or of one group in parallel divided by `parallel` [ohm] */ cellResistance: number;
  /** per hour */ maxC: number;
  usable: number;
  chemistry?: Chemistry | undefined;
  /** [K] */ temperature?: number | undefined;
  /** share of its first capacity that is gone */ age?: number | undefined;
}

/** Open-circuit volts of one cell. @param soc 0 to 1 */
export function openCircuit(soc: number, chemistry: Chemistry = 'LiPo'): number {
  return interpolateLinear(SOC, CHEMISTRY[chemistry].open, clamp(soc, 0, 1));
}

/**
 * Resistance of one cell [ohm] where nobody measured it: 0.06 / (Ah sqrt(C)), so that 2.2 Ah at 30 C is 5 milliohm, 5 Ah at
 * 50 C 1.7 and a lithium-ion cell of 3 Ah at 10 C 19 (bands of new cells as hobby chargers read them, from
 * memory). @param capacity of one cell [A s] @param maxC the label's rate
 */
export function estimateCellResistance(
  capacity: number,
  maxC: number,
  chemistry: Chemistry = 'LiPo',
): number {
  requirePositive('capacity', capacity, 'A s');
  requirePositive('rate', maxC);
  return (CHEMISTRY[chemistry].resistanceFactor * 0.06) / ((capacity / 3600) * Math.sqrt(maxC));
}

/**
 * Cold and age: resistance doubles from 25 C to 0 C and with every fifth of the capacity lost; charge shrinks a
 * little in the cold (common practice, no source).
 */
export function packWear(temperature = 298.15, age = 0): { resistance: number; capacity: number } {
  const cold = Math.exp(2260 * (1 / temperature - 1 / 298.15));
  return {
    resistance: cold * 2 ** (age / 0.2),
    capacity: (1 - age) * (1 - 0.006 * Math.max(0, 298.15 - temperature)),
  };
}

export interface Pack {
  readonly chemistry: Chemistry;
  readonly series: number;
  /** of the whole pack as it is today [ohm] */ readonly resistance: number;
  /** all of it, and what may be used [A s] */ readonly charge: number;
  readonly usableCharge: number;
  /** [A] */ readonly maxCurrent: number;
  /** [V]: label, off the charger, least under load */ readonly nominal: number;
  readonly full: number;
  readonly least: number;
  /** nominal volts times charge [J], as on the label */ readonly energy: number;
  /** estimate from energy [kg] */ readonly mass: number;
  readonly cells: number;
  /** each cell's share [A s] */ readonly cellCharge: number;
}

export function packOf(p: PackData): Pack {
  const chemistry = p.chemistry ?? 'LiPo',
    c = CHEMISTRY[chemistry],
    wear = packWear(p.temperature, p.age);
  const energy = p.series * c.nominal * p.capacity;
  return {
    chemistry,
    series: p.series,
    cells: p.series * p.parallel,
    cellCharge: p.capacity / p.parallel,
    resistance: (p.cellResistance * p.series * wear.resistance) / p.parallel,
    charge: p.capacity * wear.capacity,
    usableCharge: p.capacity * wear.capacity * p.usable,
    maxCurrent: (p.capacity / 3600) * p.maxC,
    nominal: p.series * c.nominal,
    full: p.series * c.full,
    least: p.series * c.least,
    energy,
    mass: energy / c.specificEnergy + 0.008,
  };
}

export type Joined = { status: 'joined'; pack: Pack; remarks: Said[] } | { status: 'unsafe'; said: Said };

/**
 * Two packs in parallel or in series as one. Parallel packs must agree in chemistry and cell count, or the fuller
 * one feeds the other.
 */
export function joinPacks(a: Pack, b: Pack, how: 'parallel' | 'series'): Joined {
  if (a.chemistry !== b.chemistry)
    return {
      status: 'unsafe',
      said: say('packs-of-two-chemistries', { a: a.chemistry, b: b.chemistry }),
    };
  if (how === 'parallel') {
    if (a.series !== b.series)
      return {
        status: 'unsafe',
        said: say('packs-of-two-heights', { a: a.series, b: b.series }),
      };
    const resistance = (a.resistance * b.resistance) / (a.resistance + b.resistance);
    // current divides by resistance: the pair is spent when the first pack reaches its own limit
    const most = Math.min(
      (a.maxCurrent * (a.resistance + b.resistance)) / b.resistance,
      (b.maxCurrent * (a.resistance + b.resistance)) / a.resistance,
    );
    const remarks =
      Math.abs(a.charge / b.charge - 1) > 0.15 ? [say('packs-differ', {})] : [say('packs-equal-volts', {})];
    return {
      status: 'joined',
      pack: {
        ...a,
        resistance,
        charge: a.charge + b.charge,
        usableCharge: a.usableCharge + b.usableCharge,
        maxCurrent: most,
        energy: a.energy + b.energy,
        mass: a.mass + b.mass,
        cells: a.cells + b.cells,
      },
      remarks,
    };
  }
  const weak = a.charge < b.charge ? a : b;
  return {
    status: 'joined',
    pack: {
      ...a,
      series: a.series + b.series,
      resistance: a.resistance + b.resistance,
      charge: weak.charge,
      usableCharge: weak.usableCharge,
      maxCurrent: Math.min(a.maxCurrent, b.maxCurrent),
      nominal: a.nominal + b.nominal,
      full: a.full + b.full,
      least: a.least + b.least,
      energy: weak.charge * (a.nominal + b.nominal),
      mass: a.mass + b.mass,
      cells: a.cells + b.cells,
    },
    remarks: Math.abs(a.charge / b.charge - 1) > 0.05 ? [say('packs-smaller-first', {})] : [],
  };
}
