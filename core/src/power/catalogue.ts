/**
 * A small generic catalogue: made-up parts in round numbers, sized as such parts usually are (common practice, no source).
 * Motors of one size share a motor constant, Kt / sqrt(R) = 0.5 m + 0.006 with the mass m in kg, the trend of common
 * outrunners (from memory), a third of it for fast inrunners; resistance follows from it and Kv.
 */
import { estimateCellResistance, packOf, type PackData } from './battery';
import { BLADES, type BladeFamily } from './blades';
import type { MotorData } from './motor';
import type { Swap } from '../design';
import type { PropellerSize } from './propeller';

export interface MotorPart {
  id: string;
  name: string;
  mass: number;
  /** most cells in series, lithium-polymer */ cells: number;
  data: MotorData;
}
export interface PropellerPart {
  id: string;
  name: string;
  mass: number;
  data: Extract<Swap, { kind: 'propeller' }>['data'];
}
export interface PackPart {
  id: string;
  name: string;
  mass: number;
  data: PackData;
}
export interface EscPart {
  id: string;
  name: string;
  mass: number;
  cells: number;
  data: { resistance: number; maxCurrent: number };
}
export interface PartsList {
  motors: MotorPart[];
  propellers: PropellerPart[];
  packs: PackPart[];
  escs: EscPart[];
}

/** Resistance of a controller times its current [V]; common practice, no source. */
export const ESC_VOLTS = 0.24;

const RPM_PER_VOLT = (2 * Math.PI) / 60,
  INCH = 0.0254,
  MAH = 3.6;
const round3 = (v: number) => Number(v.toPrecision(3));

/** size, grams, Kv's [rpm/V], no-load amps of the middle one at 10 V, largest amps of the middle one, cells, gear */
const MOTORS: [
  size: string,
  grams: number,
  kvs: number[],
  noLoad: number,
  amps: number,
  cells: number,
  gear?: number,
][] = [
  ['22-08', 28, [1100, 1450, 1900], 0.5, 9, 3],
  ['22-12', 52, [800, 1000, 1400], 0.6, 15, 3],
  ['28-14', 62, [900, 1150, 1500], 0.7, 19, 3],
  ['28-20', 74, [850, 1050, 1300], 0.9, 25, 4],
  ['28-26', 98, [620, 800, 1000], 0.9, 32, 4],
  ['35-30', 128, [480, 620, 850], 1, 38, 5],
  ['35-42', 160, [420, 550, 720], 1.2, 46, 6],
  ['42-30', 195, [380, 480, 600], 1.3, 52, 6],
  ['42-45', 260, [320, 400, 520], 1.5, 60, 6],
  ['50-45', 330, [260, 340, 430], 1.6, 70, 8],
  ['50-65', 430, [190, 240, 300], 1.7, 85, 12],
  ['I-28', 118, [3600], 1.4, 40, 4, 4.4],
  ['I-36', 205, [2700], 1.8, 60, 6, 5.2],
];

const PROPELLERS: [family: BladeFamily, blades: number, sizes: [d: number, p: number][]][] = [
  [
    'slow-fly',
    2,
    [
      [8, 3.8],
      [9, 4.7],
      [10, 4.7],
      [11, 4.7],
      [12, 6],
    ],
  ],
  [
    'thin-electric',
    2,
    [
      [8, 4],
      [8, 6],
      [9, 4.5],
      [9, 6],
      [10, 5],
      [10, 7],
      [11, 5.5],
      [11, 7],
      [12, 6],
      [12, 8],
      [13, 6.5],
      [13, 8],
      [14, 7],
      [14, 10],
      [15, 8],
      [16, 8],
    ],
  ],
  [
    'thin-electric',
    3,
    [
      [9, 6],
      [10, 7],
    ],
  ],
  [
    'sport',
    2,
    [
      [9, 6],
      [10, 6],
      [11, 6],
      [12, 6],
    ],
  ],
  [
    'folding',
    2,
    [
      [9, 5],
      [10, 6],
      [11, 6],
      [12, 6.5],
      [13, 7],
    ],
  ],
  [
    'multirotor',
    2,
    [
      [8, 4.5],
      [9, 4.5],
      [10, 4.5],
      [12, 4.5],
      [13, 4.4],
      [15, 5],
      [16, 5.4],
      [18, 6],
    ],
  ],
];

const PACKS: [
  chemistry: NonNullable<PackData['chemistry']>,
  series: number,
  parallel: number,
  mAh: number,
  c: number,
][] = [
  ['LiPo', 2, 1, 500, 35],
  ['LiPo', 2, 1, 850, 30],
  ['LiPo', 3, 1, 850, 35],
  ['LiPo', 3, 1, 1300, 35],
  ['LiPo', 3, 1, 1800, 30],
  ['LiPo', 3, 1, 2200, 30],
  ['LiPo', 3, 1, 3300, 30],
  ['LiPo', 4, 1, 1300, 40],
  ['LiPo', 4, 1, 1800, 35],
  ['LiPo', 4, 1, 2200, 30],
  ['LiPo', 4, 1, 2600, 30],
  ['LiPo', 4, 1, 3300, 30],
  ['LiPo', 4, 1, 4000, 25],
  ['LiPo', 5, 1, 3300, 30],
  ['LiPo', 6, 1, 1800, 35],
  ['LiPo', 6, 1, 3300, 30],
  ['LiPo', 6, 1, 5000, 25],
  ['Li-ion', 3, 2, 6000, 6],
  ['Li-ion', 4, 2, 6000, 6],
  ['LiFePO4', 4, 1, 2500, 15],
];

/** amps, most cells */
const ESCS: [number, number][] = [
  [10, 3],
  [15, 3],
  [20, 4],
  [30, 4],
  [40, 5],
  [50, 6],
  [60, 6],
  [80, 6],
  [100, 8],
  [120, 12],
];

/** Weight of a controller [kg] by its largest current [A] (common practice, no source). */
export function controllerMass(maxCurrent: number): number {
  return round3((6 + 0.85 * maxCurrent) / 1000);
}

/** Weight of a propeller [kg] by family, diameter and blades (common practice, no source). */
export function propellerMass(size: Pick<PropellerSize, 'family' | 'diameter' | 'blades'>): number {
  return round3(
    BLADES[(size.family ?? 'thin-electric') as BladeFamily].massFactor *
      size.diameter ** 2.5 *
      Math.sqrt(size.blades / 2),
  );
}

function motorParts(): MotorPart[] {
  return MOTORS.flatMap(([size, grams, kvs, noLoad, amps, cells, gear]) => {
    const mid = kvs[kvs.length >> 1],
      mass = grams / 1000,
      constant = (0.5 * mass + 0.006) / (gear ? 3 : 1);
    return kvs.map((rpmPerVolt) => {
      const kv = rpmPerVolt * RPM_PER_VOLT;
      return {
        id: `m-${size.toLowerCase()}-${rpmPerVolt}`,
        name: `${size}, ${rpmPerVolt} rpm/V${gear ? `, gear ${gear}` : ''}`,
        mass,
        cells,
        data: {
          kv,
          resistance: round3((1 / (kv * constant)) ** 2),
          noLoadCurrent: round3(noLoad * (rpmPerVolt / mid)),
          noLoadVolts: 10,
          maxCurrent: Math.round(amps * Math.sqrt(rpmPerVolt / mid)),
          mass,
          ...(gear
            ? { gear, gearEfficiency: 0.95, kind: 'inrunner' as const }
            : { kind: 'outrunner' as const }),
        },
      };
    });
  });
}

const plain = (inches: number) => String(Number(inches.toFixed(2)));

/** The catalogue; a fresh list each call. */
export function genericParts(): PartsList {
  return {
    motors: motorParts(),
    propellers: PROPELLERS.flatMap(([family, blades, sizes]) =>
      sizes.map(([d, p]) => {
        const data = { diameter: d * INCH, pitch: p * INCH, blades, family };
        return {
          id: `p-${family}-${plain(d)}x${plain(p)}${blades === 2 ? '' : `x${blades}`}`.replace(/\./g, '_'),
          name: `${BLADES[family].name} ${plain(d)} × ${plain(p)}${blades === 2 ? '' : ` × ${blades}`}`,
          mass: propellerMass(data),
          data,
        };
      }),
    ),
    packs: PACKS.map(([chemistry, series, parallel, mAh, maxC]) => {
      const capacity = mAh * MAH,
        data: PackData = {
          series,
          parallel,
          capacity,
          cellResistance: round3(estimateCellResistance(capacity / parallel, maxC, chemistry)),
          maxC,
          usable: 0.85,
          ...(chemistry === 'LiPo' ? {} : { chemistry }),
        };
      return {
        id: `b-${chemistry.toLowerCase()}-${series}s${parallel > 1 ? `${parallel}p` : ''}-${mAh}`,
        name: `${series}S${parallel > 1 ? `${parallel}P` : ''} ${mAh} mAh${chemistry === 'LiPo' ? '' : ` ${chemistry}`}`,
        mass: round3(packOf(data).mass),
        data,
      };
    }),
    escs: ESCS.map(([amps, cells]) => ({
      id: `e-${amps}`,
      name: `${amps} A`,
      mass: controllerMass(amps),
      cells,
      data: { resistance: round3(ESC_VOLTS / amps), maxCurrent: amps },
    })),
  };
}
