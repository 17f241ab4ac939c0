import { designStress, type Material } from '../materials';
import type { Capacity, PartName } from '../crossSection';

/** One wall of a closed cell: length and thickness [m]. */
export interface Wall {
  readonly s: number;
  readonly t: number;
  readonly material: Material;
  readonly part: PartName;
}

/**
 * Walls around an enclosed area, twisted: stiffness [N m2] and the torque at which each is sheared through [N m].
 * Bredt 1896; Timoshenko, Strength of Materials II. @param area of the middle line, m2
 */
export function closedTwist(area: number, walls: readonly Wall[]): { GJ: number; torque: Capacity[] } {
  const compliance = walls.reduce((sum, w) => sum + w.s / (w.material.shearModulus * w.t), 0);
  return {
    GJ: (4 * area * area) / compliance,
    torque: walls.map((w): Capacity => ({
      way: 'torsion',
      part: w.part,
      material: w.material.name,
      at: designStress(w.material, 'shear') * 2 * area * w.t,
      by: 'strength',
    })),
  };
}
