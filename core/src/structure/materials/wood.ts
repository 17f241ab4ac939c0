/**
 * Woods by their density, clear and straight-grained at 12 % moisture.
 * Source: Wood Handbook, FPL-GTR-190, ch. 5: table 5-11a (properties of softwoods by specific gravity G) and table 5-3
 * (balsa), from memory. Balsa goes nearly linearly with density (Easterling, Harrysson, Gibson and Ashby, 1982, from memory).
 */
import type { Material } from './material';

/** Scatter of crushing strength along the grain (Wood Handbook, table 5-6, from memory). */
const SCATTER = 0.18,
  KNOCKDOWN = 0.95;

/** Density at 12 % moisture over specific gravity (oven-dry mass over volume at 12 %) [kg/m3]. */
const MOIST = 1120;

/** Softwoods: 20.5 G^0.84 GPa, 170.7 G^1.01, 93.7 G^0.97 and 16.6 G^0.85 MPa. */
function softwood(id: string, name: string, density: number): Material {
  const G = density / MOIST;
  const modulus = 20.5e9 * G ** 0.84;
  return {
    id,
    name,
    kind: 'wood',
    modulus,
    across: modulus / 20,
    shearModulus: modulus / 16,
    tension: 170.7e6 * G ** 1.01,
    compression: 93.7e6 * G ** 0.97,
    shear: 16.6e6 * G ** 0.85,
    density,
    scatter: SCATTER,
    knockdown: KNOCKDOWN,
    source: 'Wood Handbook, FPL-GTR-190, table 5-11a, softwoods by density (from memory)',
  };
}

/** 3.4 GPa, 21.6 MPa in bending, 14.9 in crushing and 2.1 in shear at 160 kg/m3, in proportion to density. */
function balsa(id: string, name: string, density: number): Material {
  const k = density / 160;
  return {
    id,
    name,
    kind: 'wood',
    modulus: 3.4e9 * k,
    across: 0.05e9 * k,
    shearModulus: 0.16e9 * k,
    tension: 21.6e6 * k,
    compression: 14.9e6 * k,
    shear: 2.1e6 * k,
    density,
    scatter: SCATTER,
    knockdown: KNOCKDOWN,
    source: 'Wood Handbook, FPL-GTR-190, table 5-3, in proportion to density (from memory)',
  };
}

const RANGES = {
  balsa: { of: balsa, name: 'Balsa', low: 60, high: 320 },
  spruce: { of: softwood, name: 'Spruce', low: 300, high: 560 },
  pine: { of: softwood, name: 'Pine', low: 330, high: 620 },
} as const;

/** `balsa-120` is balsa of 120 kg/m3. @returns null for another name, or a density that such wood does not have */
export function woodByDensity(id: string): Material | null {
  const m = /^(balsa|spruce|pine)-(\d{2,3})$/.exec(id);
  if (!m) return null;
  const wood = RANGES[m[1] as keyof typeof RANGES],
    density = Number(m[2]);
  if (!(density >= wood.low && density <= wood.high)) return null;
  return wood.of(id, `${wood.name}, ${density} kg/m³`, density);
}

/** Densities that are offered by name. */
export const WOODS: readonly Material[] = [
  'balsa-100',
  'balsa-130',
  'balsa-200',
  'balsa-240',
  'spruce-360',
  'spruce-440',
  'pine-500',
].map((id) => woodByDensity(id)!);
