/** What small aircraft are made of, along the member and, where it differs much, across it. */
import type { Material, MaterialKind } from './material';
import { FOAMS_SOLD } from './foam';
import { WOODS } from './wood';

/** Scatter of pieces and what notches, glue lines, damp and heat leave, by kind. Common practice, no source. */
const USUAL: Readonly<Record<MaterialKind, { scatter: number; knockdown: number }>> = {
  // handbook yields are least values already
  metal: { scatter: 0, knockdown: 0.95 },
  wood: { scatter: 0.18, knockdown: 0.95 },
  composite: { scatter: 0.1, knockdown: 0.85 },
  foam: { scatter: 0.12, knockdown: 0.75 },
  print: { scatter: 0.12, knockdown: 0.75 },
  board: { scatter: 0.15, knockdown: 0.8 },
  film: { scatter: 0.1, knockdown: 0.7 },
  thread: { scatter: 0.1, knockdown: 0.5 },
};

/** Moduli [GPa], strengths [MPa], density [kg/m3]. */
interface Row {
  readonly id: string;
  readonly name: string;
  readonly E: number;
  readonly across: number;
  readonly G: number;
  readonly tension: number;
  readonly compression: number;
  readonly shear: number;
  readonly density: number;
  readonly source: string;
}

const of = (kind: MaterialKind, rows: readonly Row[]): Material[] =>
  rows.map(({ id, name, E, across, G, tension, compression, shear, density, source }) => ({
    id,
    name,
    kind,
    modulus: E * 1e9,
    across: across * 1e9,
    shearModulus: G * 1e9,
    tension: tension * 1e6,
    compression: compression * 1e6,
    shear: shear * 1e6,
    density,
    ...USUAL[kind],
    source,
  }));

const MMPDS = 'yield, MMPDS handbook values (from memory)',
  WOOD = 'Wood Handbook, FPL-GTR-190, table 5-3, at 12 % moisture (from memory)',
  SHEETS = 'typical of makers’ sheets (from memory)',
  CLOTH = 'typical of published tests on wet-laid cloth, 45 % fibre (from memory)',
  PRINTED = 'typical of published coupon tests (from memory)',
  BOARD = 'typical of published sheet tests (from memory)',
  PRACTICE = 'common practice, no source';

// prettier-ignore
const METALS = of('metal', [
  { id: 'alu-6061', name: 'Aluminium 6061-T6', E: 68.9, across: 68.9, G: 26, tension: 276, compression: 276, shear: 165, density: 2700, source: MMPDS },
  { id: 'alu-2024', name: 'Aluminium 2024-T3', E: 72.4, across: 72.4, G: 27.6, tension: 324, compression: 290, shear: 187, density: 2780, source: MMPDS },
  { id: 'steel-wire', name: 'Spring steel wire', E: 207, across: 207, G: 79, tension: 1500, compression: 1500, shear: 860, density: 7850, source: 'three quarters of the strength of 2 to 3 mm music wire, ASTM A228 (from memory)' },
  { id: 'steel-4130', name: 'Steel tube 4130', E: 205, across: 205, G: 80, tension: 435, compression: 435, shear: 250, density: 7850, source: MMPDS },
  { id: 'brass', name: 'Brass tube', E: 103, across: 103, G: 39, tension: 300, compression: 300, shear: 170, density: 8500, source: SHEETS },
]);

// prettier-ignore
const SOLID_WOODS = of('wood', [
  { id: 'spruce', name: 'Spruce (Sitka)', E: 10.8, across: 0.6, G: 0.69, tension: 70, compression: 38.7, shear: 7.9, density: 400, source: WOOD },
  { id: 'basswood', name: 'Basswood', E: 10.1, across: 0.4, G: 0.57, tension: 60, compression: 32.6, shear: 6.8, density: 370, source: WOOD },
  { id: 'balsa', name: 'Balsa, medium', E: 3.4, across: 0.05, G: 0.16, tension: 21.6, compression: 14.9, shear: 2.1, density: 160, source: WOOD },
  { id: 'beech', name: 'Beech', E: 11.9, across: 1, G: 0.9, tension: 103, compression: 50.3, shear: 13.9, density: 720, source: WOOD },
  { id: 'bamboo', name: 'Bamboo, split', E: 15, across: 1, G: 1, tension: 140, compression: 60, shear: 9, density: 700, source: 'typical of published tests on small clear pieces (from memory)' },
  { id: 'birch-ply', name: 'Birch plywood, faces along', E: 9, across: 6, G: 0.65, tension: 45, compression: 30, shear: 9, density: 680, source: PRACTICE },
  { id: 'birch-ply-across', name: 'Birch plywood, faces across', E: 6, across: 9, G: 0.65, tension: 32, compression: 22, shear: 9, density: 680, source: PRACTICE },
  { id: 'birch-ply-45', name: 'Birch plywood, faces at 45°', E: 2.2, across: 2.2, G: 3.2, tension: 25, compression: 22, shear: 17, density: 680, source: PRACTICE },
  { id: 'poplar-ply', name: 'Light poplar plywood, faces along', E: 5, across: 3.2, G: 0.4, tension: 26, compression: 18, shear: 5, density: 430, source: PRACTICE },
]);

// prettier-ignore
const COMPOSITES = of('composite', [
  { id: 'carbon-pultruded', name: 'Pultruded carbon', E: 120, across: 8, G: 4.5, tension: 1400, compression: 800, shear: 50, density: 1550, source: 'typical of makers’ sheets for 60 % fibre (from memory)' },
  { id: 'carbon-tube', name: 'Roll-wrapped carbon tube', E: 70, across: 25, G: 8, tension: 600, compression: 450, shear: 60, density: 1520, source: 'common practice for mixed 0/90 wraps, no source' },
  { id: 'carbon-wet-0', name: 'Carbon tow, wet-laid, along', E: 95, across: 6, G: 3.5, tension: 900, compression: 500, shear: 40, density: 1450, source: CLOTH },
  { id: 'carbon-cloth', name: 'Carbon cloth, wet-laid, 0/90', E: 48, across: 48, G: 3.3, tension: 430, compression: 300, shear: 50, density: 1430, source: CLOTH },
  { id: 'carbon-cloth-45', name: 'Carbon cloth, wet-laid, ±45', E: 11, across: 11, G: 24, tension: 110, compression: 110, shear: 190, density: 1430, source: CLOTH },
  { id: 'glass-tube', name: 'Pultruded glass', E: 35, across: 8, G: 3.5, tension: 550, compression: 400, shear: 40, density: 1900, source: SHEETS },
  { id: 'glass-cloth', name: 'Glass cloth, wet-laid, 0/90', E: 17, across: 17, G: 3, tension: 270, compression: 210, shear: 45, density: 1750, source: CLOTH },
  { id: 'glass-cloth-45', name: 'Glass cloth, wet-laid, ±45', E: 8.5, across: 8.5, G: 7, tension: 100, compression: 100, shear: 110, density: 1750, source: CLOTH },
  { id: 'aramid-cloth', name: 'Aramid cloth, wet-laid, 0/90', E: 24, across: 24, G: 2, tension: 380, compression: 110, shear: 35, density: 1300, source: CLOTH },
]);

// prettier-ignore
const PRINTS = of('print', [
  { id: 'pla-flat', name: 'Printed PLA, along the layers', E: 2.8, across: 2.3, G: 1, tension: 45, compression: 50, shear: 22, density: 1240, source: `${PRINTED}; loses strength above 50 °C` },
  { id: 'pla-up', name: 'Printed PLA, across the layers', E: 2.3, across: 2.8, G: 0.9, tension: 24, compression: 45, shear: 14, density: 1240, source: `${PRINTED}; loses strength above 50 °C` },
  { id: 'pla-foamed', name: 'Printed foaming PLA, along the layers', E: 0.9, across: 0.7, G: 0.3, tension: 12, compression: 12, shear: 6, density: 600, source: 'typical of makers’ sheets for half the density (from memory)' },
  { id: 'petg-flat', name: 'Printed PETG, along the layers', E: 1.8, across: 1.5, G: 0.65, tension: 40, compression: 42, shear: 20, density: 1270, source: PRINTED },
  { id: 'petg-up', name: 'Printed PETG, across the layers', E: 1.5, across: 1.8, G: 0.6, tension: 22, compression: 38, shear: 12, density: 1270, source: PRINTED },
  { id: 'abs-flat', name: 'Printed ABS, along the layers', E: 2, across: 1.7, G: 0.7, tension: 32, compression: 36, shear: 17, density: 1040, source: PRINTED },
  { id: 'nylon-carbon', name: 'Printed nylon with chopped carbon, along the layers', E: 4.5, across: 2.2, G: 1.2, tension: 60, compression: 55, shear: 25, density: 1180, source: `${PRINTED}; dry: damp takes a third of it` },
]);

// prettier-ignore
const BOARDS = of('board', [
  { id: 'foam-sheet', name: 'Extruded polystyrene sheet, foam', E: 0.012, across: 0.012, G: 0.005, tension: 0.6, compression: 0.3, shear: 0.2, density: 40, source: 'typical of makers’ sheets for 3 to 6 mm board (from memory)' },
  { id: 'foam-board', name: 'Foam board with paper faces, along', E: 0.45, across: 0.28, G: 0.05, tension: 6, compression: 2.4, shear: 0.3, density: 110, source: BOARD },
  { id: 'foam-board-across', name: 'Foam board with paper faces, across', E: 0.28, across: 0.45, G: 0.05, tension: 4, compression: 1.8, shear: 0.3, density: 110, source: BOARD },
  { id: 'card', name: 'Folded card, along the grain', E: 4, across: 1.9, G: 1, tension: 35, compression: 14, shear: 8, density: 750, source: 'paperboard, typical of published sheet tests (from memory); damp takes half of it' },
  { id: 'card-across', name: 'Folded card, across the grain', E: 1.9, across: 4, G: 1, tension: 18, compression: 9, shear: 8, density: 750, source: 'paperboard, typical of published sheet tests (from memory); damp takes half of it' },
  { id: 'corrugated-card', name: 'Corrugated card, along the flutes', E: 0.3, across: 0.1, G: 0.03, tension: 3.5, compression: 1.2, shear: 0.5, density: 140, source: `${BOARD}; of the whole thickness` },
  { id: 'corrugated-card-across', name: 'Corrugated card, across the flutes', E: 0.1, across: 0.3, G: 0.03, tension: 2, compression: 0.4, shear: 0.3, density: 140, source: `${BOARD}; of the whole thickness` },
  { id: 'corrugated-plastic', name: 'Corrugated polypropylene, along the flutes', E: 0.4, across: 0.15, G: 0.06, tension: 6, compression: 3, shear: 1, density: 210, source: `${SHEETS}; of the whole thickness` },
  { id: 'corrugated-plastic-across', name: 'Corrugated polypropylene, across the flutes', E: 0.15, across: 0.4, G: 0.06, tension: 3.5, compression: 1, shear: 0.6, density: 210, source: `${SHEETS}; of the whole thickness` },
]);

// prettier-ignore
const PULLING = [
  ...of('film', [
    { id: 'polyester-film', name: 'Polyester film', E: 4.5, across: 4.5, G: 1.7, tension: 170, compression: 0, shear: 80, density: 1390, source: SHEETS },
  ]),
  ...of('thread', [
    { id: 'aramid-thread', name: 'Aramid thread', E: 60, across: 0, G: 0, tension: 2200, compression: 0, shear: 0, density: 1440, source: 'yarn in a twisted thread, knots halve it (from memory)' },
    { id: 'polyethylene-line', name: 'Braided polyethylene line', E: 50, across: 0, G: 0, tension: 1800, compression: 0, shear: 0, density: 970, source: 'braided line, knots halve it; creeps under a steady load (from memory)' },
  ]),
];

export const MATERIALS: readonly Material[] = [
  ...COMPOSITES,
  ...METALS,
  ...SOLID_WOODS,
  ...WOODS,
  ...PRINTS,
  ...FOAMS_SOLD,
  ...BOARDS,
  ...PULLING,
];
