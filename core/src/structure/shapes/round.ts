/** Rods and round tubes. Source: Gere, Mechanics of Materials, appendix E and 3.3; thin walls: `plateBuckling.ts`. */
import { designStress, type Material } from '../materials';
import type { Capacity, CrossSection, Slab } from '../crossSection';
import { bendingCapacities } from '../crossSection';
import { brazierMoment, tubeWallStress } from '../plateBuckling';

/** Shear over the mean in a ring or disc, at the neutral axis: 4/3 for a disc, 2 for a thin ring. */
function shearPeak(r: number, ri: number): number {
  return ((4 / 3) * (r * r + r * ri + ri * ri)) / (r * r + ri * ri);
}

/** @param outer diameter, @param wall [m]; a wall that reaches the middle makes a rod */
export function roundSection(outer: number, wall: number, m: Material): CrossSection {
  const r = outer / 2,
    ri = Math.max(0, r - wall),
    t = r - ri,
    mean = (r + ri) / 2;
  const area = Math.PI * (r * r - ri * ri),
    I = (Math.PI / 4) * (r ** 4 - ri ** 4),
    EI = m.modulus * I;
  const thin = ri > 0,
    part = thin ? 'wall' : 'member';
  const buckles: Slab['buckles'] = thin ? [{ way: 'wall-buckling', stress: tubeWallStress(m, mean, t) }] : [];
  const slab: Slab = { part, material: m, area, z: r, own: I, bottom: 0, top: outer, buckles };
  const flattens: Capacity[] = thin
    ? [{ way: 'flattening', part, material: m.name, at: brazierMoment(m, mean, t), by: 'stiffness' }]
    : [];
  const moments = [...bendingCapacities([slab], true), ...flattens],
    tau = designStress(m, 'shear');
  return {
    EI,
    EIside: EI,
    GJ: 2 * m.shearModulus * I,
    perLength: m.density * area,
    height: outer,
    width: outer,
    neutral: r,
    up: moments,
    down: moments,
    shear: [{ way: 'shear', part, material: m.name, at: (tau * area) / shearPeak(r, ri), by: 'strength' }],
    torque: [{ way: 'torsion', part, material: m.name, at: (tau * 2 * I) / r, by: 'strength' }],
    slabs: [slab],
  };
}
