/**
 * Drag of parts that stand in the wind. Coefficients from Hoerner, Fluid-Dynamic Drag, ch. 3, 4, 8, 13 (from memory),
 * on the frontal area unless it says otherwise.
 */
import type { Design, DragSource } from '../design';
import { plateFriction } from './friction';

/** Round wire across the stream, Reynolds numbers of 1e3 to 2e5. */
const CD_WIRE = 1.1;
const CD_BLUFF = { ball: 0.47, box: 1.05, rounded: 0.45, streamlined: 0.08, 'cylinder across': 1.1 } as const;
/** Open bay, on the area of the opening. */
const CD_OPENING = 0.02;

/** Frontal area of a wheel counts with this, faired or bare. */
const wheelCd = (faired: boolean) => (faired ? 0.13 : 0.3);

/**
 * Drag area [m2] at airspeed V [m/s].
 * @param kinematic kinematic viscosity [m2/s]
 * @param wheels as drawn; those without a diameter are skids and balls, and are not wheels here
 */
export function outsideDragArea(
  d: DragSource,
  speed: number,
  kinematic: number,
  wheels: Design['wheels'] = [],
): number {
  switch (d.kind) {
    case 'wire':
      return CD_WIRE * d.length * d.diameter * d.count;
    case 'strut': {
      const r = d.thickness / d.chord;
      // both faces in friction, with the form factor of a section, not less than a tenth of a round bar
      const cd = Math.max(
        2 * plateFriction(Math.max(1e3, (speed * d.chord) / kinematic)) * (1 + 2 * r + 60 * r ** 4),
        0.1 * CD_WIRE * r,
      );
      return cd * d.chord * d.length * d.count;
    }
    case 'wheel':
      return wheelCd(d.faired) * d.diameter * d.width * d.count;
    case 'drawn wheels':
      return wheelCd(d.faired) * d.width * wheels.reduce((s, w) => s + (w.diameter ?? 0), 0);
    case 'opening':
      return CD_OPENING * d.length * d.width;
    case 'bluff':
      return CD_BLUFF[d.shape] * d.frontal;
  }
}
