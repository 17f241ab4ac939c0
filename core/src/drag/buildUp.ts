/**
 * Drag that does not come from lift, item by item as drag areas [m2].
 * Friction: Blasius laminar to Re_x = 3e5, then Prandtl's turbulent law with the laminar start taken off
 * (Schlichting, Boundary-Layer Theory, eq. 21.12 and 21.16). Body form factor: Hoerner, Fluid-Dynamic
 * Drag, 6-28. Interference 5 % of the sum (common practice, no source).
 */
import type { Design } from '../design';
import { bodyFacts, planformOf } from '../surface';

const RE_TRANSITION = 3e5;
const INTERFERENCE = 0.05;

/** Mean friction coefficient of one side of a plate at Reynolds number re (> 0). */
export function plateFriction(re: number): number {
  const laminar = 1.328 / Math.sqrt(re);
  if (re <= RE_TRANSITION) return laminar;
  const turbulent = (r: number) => 0.455 / Math.log10(r) ** 2.58;
  return turbulent(re) - (RE_TRANSITION / re) * (turbulent(RE_TRANSITION) - 1.328 / Math.sqrt(RE_TRANSITION));
}

export interface DragItem { name: string; area: number }

/**
 * Parasite drag items at airspeed V.
 * @param kinematic kinematic viscosity [m2/s]
 */
export function parasiteItems(design: Design, speed: number, kinematic: number): DragItem[] {
  const body = bodyFacts(design.body);
  const f = Math.max(body.fineness, 1.5);
  const form = 1 + 1.5 / f ** 1.5 + 7 / f ** 3;
  const items: DragItem[] = [{ name: 'body', area: body.wetted * plateFriction((speed * body.length) / kinematic) * form }];
  for (const s of design.surfaces) {
    if (s.role !== 'fin') continue;
    const p = planformOf(s);
    items.push({ name: s.name, area: 2.2 * p.area * plateFriction((speed * p.mac) / kinematic) });
  }
  for (const d of design.dragItems) items.push({ name: d.name, area: d.dragArea });
  items.push({ name: 'interference', area: INTERFERENCE * items.reduce((a, i) => a + i.area, 0) });
  return items;
}
