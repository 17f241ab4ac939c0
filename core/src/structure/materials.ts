/**
 * Spar materials: design values with their source. Strengths are short-time test means; `knockdown`
 * is applied before use (scatter, notches, glue lines, compression).
 */
export interface Material {
  readonly id: string;
  readonly name: string;
  /** along the spar [Pa] */ readonly modulus: number;
  readonly tension: number;
  readonly compression: number;
  readonly shear: number;
  /** [kg/m3] */ readonly density: number;
  readonly knockdown: number;
  readonly source: string;
}

const WOOD = 'Wood Handbook, FPL-GTR-190, table 5-3, at 12 % moisture (from memory)';

export const MATERIALS: readonly Material[] = [
  {
    id: 'carbon-pultruded',
    name: 'Pultruded carbon',
    modulus: 120e9,
    tension: 1400e6,
    compression: 800e6,
    shear: 50e6,
    density: 1550,
    knockdown: 0.7,
    source: 'typical of makers’ sheets for 60 % fibre (from memory); compression governs',
  },
  {
    id: 'carbon-tube',
    name: 'Roll-wrapped carbon tube',
    modulus: 70e9,
    tension: 600e6,
    compression: 450e6,
    shear: 60e6,
    density: 1520,
    knockdown: 0.7,
    source: 'common practice for mixed 0/90 wraps, no source',
  },
  {
    id: 'glass-tube',
    name: 'Pultruded glass',
    modulus: 35e9,
    tension: 550e6,
    compression: 400e6,
    shear: 40e6,
    density: 1900,
    knockdown: 0.7,
    source: 'typical of makers’ sheets (from memory)',
  },
  {
    id: 'alu-6061',
    name: 'Aluminium 6061-T6',
    modulus: 68.9e9,
    tension: 276e6,
    compression: 276e6,
    shear: 165e6,
    density: 2700,
    knockdown: 0.95,
    source: 'yield, MMPDS handbook values (from memory)',
  },
  {
    id: 'spruce',
    name: 'Spruce (Sitka)',
    modulus: 10.8e9,
    tension: 70e6,
    compression: 38.7e6,
    shear: 7.9e6,
    density: 400,
    knockdown: 0.75,
    source: WOOD,
  },
  {
    id: 'basswood',
    name: 'Basswood',
    modulus: 10.1e9,
    tension: 60e6,
    compression: 32.6e6,
    shear: 6.8e6,
    density: 370,
    knockdown: 0.75,
    source: WOOD,
  },
  {
    id: 'balsa',
    name: 'Balsa, medium',
    modulus: 3.4e9,
    tension: 21.6e6,
    compression: 14.9e6,
    shear: 2.1e6,
    density: 160,
    knockdown: 0.7,
    source: WOOD,
  },
  {
    id: 'birch-ply',
    name: 'Birch plywood, faces along',
    modulus: 9e9,
    tension: 45e6,
    compression: 30e6,
    shear: 9e6,
    density: 680,
    knockdown: 0.75,
    source: 'common practice, no source',
  },
  {
    id: 'pla-flat',
    name: 'Printed PLA, along the layers',
    modulus: 2.8e9,
    tension: 45e6,
    compression: 50e6,
    shear: 22e6,
    density: 1240,
    knockdown: 0.6,
    source: 'typical of published coupon tests (from memory); loses strength above 50 °C',
  },
  {
    id: 'foam-sheet',
    name: 'Extruded polystyrene sheet, foam',
    modulus: 12e6,
    tension: 0.6e6,
    compression: 0.3e6,
    shear: 0.2e6,
    density: 40,
    knockdown: 0.6,
    source: 'typical of makers’ sheets for 3 to 6 mm board (from memory)',
  },
  {
    id: 'card',
    name: 'Folded card, along the grain',
    modulus: 4e9,
    tension: 35e6,
    compression: 14e6,
    shear: 8e6,
    density: 750,
    knockdown: 0.6,
    source:
      'paperboard, typical of published sheet tests (from memory); across the grain about half; damp takes half of it',
  },
];

export function materialNamed(id: string): Material | undefined {
  return MATERIALS.find((m) => m.id === id);
}
