/**
 * Foams by their density [kg/m3]: `eps-20`, `xps-32`, `epp-30`. In proportion to density within what is sold; values at the
 * middle typical of makers' sheets (from memory), the slope of expanded polystyrene near that of Horvath 1994 (from memory).
 */
import type { Material } from './material';

interface Foam {
  readonly name: string;
  readonly low: number;
  readonly high: number;
  /** at this density [kg/m3] */ readonly at: number;
  /** [Pa] */ readonly modulus: number;
  readonly tension: number;
  readonly compression: number;
  readonly shear: number;
}

const FOAMS: Readonly<Record<string, Foam>> = {
  eps: {
    name: 'Expanded polystyrene',
    low: 12,
    high: 40,
    at: 20,
    modulus: 6e6,
    tension: 0.25e6,
    compression: 0.11e6,
    shear: 0.11e6,
  },
  xps: {
    name: 'Extruded polystyrene',
    low: 24,
    high: 50,
    at: 32,
    modulus: 14e6,
    tension: 0.5e6,
    compression: 0.3e6,
    shear: 0.2e6,
  },
  epp: {
    name: 'Expanded polypropylene',
    low: 15,
    high: 60,
    at: 30,
    modulus: 5e6,
    tension: 0.35e6,
    compression: 0.15e6,
    shear: 0.12e6,
  },
};

/** @returns null for another name, or a density that such foam does not have */
export function foamByDensity(id: string): Material | null {
  const m = /^(eps|xps|epp)-(\d{2})$/.exec(id),
    foam = m && FOAMS[m[1]],
    density = m ? Number(m[2]) : 0;
  if (!foam || !(density >= foam.low && density <= foam.high)) return null;
  const k = density / foam.at;
  return {
    id,
    name: `${foam.name}, ${density} kg/m³`,
    kind: 'foam',
    modulus: foam.modulus * k,
    across: foam.modulus * k,
    shearModulus: foam.modulus * k * 0.4,
    tension: foam.tension * k,
    compression: foam.compression * k,
    shear: foam.shear * k,
    density,
    scatter: 0.12,
    knockdown: 0.75,
    source: 'makers’ sheets, in proportion to density (from memory)',
  };
}

export const FOAMS_SOLD: readonly Material[] = ['eps-20', 'xps-32', 'epp-30', 'epp-45'].map((id) =>
  foamByDensity(id)!,
);
