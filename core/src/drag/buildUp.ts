/**
 * Drag that does not come from lift, item by item as drag areas [m2].
 * Body form factor: Hoerner, Fluid-Dynamic Drag,
 * 6-28. Interference 5 % of the sum (common practice, no source).
 */
import type { Design, State } from '../design';
import { allBodies, bodyFacts, planformOf } from '../surface';
import { plateFriction } from './friction';
import { outsideDragArea } from './outside';
import { towedLine } from './tow';

const INTERFERENCE = 0.05;

export interface DragItem {
  name: string;
  area: number;
}

/**
 * Parasite drag items at airspeed V, in a state.
 * @param kinematic kinematic viscosity [m2/s]
 * @param state what is open, lowered or towed in it
 */
export function parasiteItems(
  design: Pick<Design, 'surfaces' | 'body' | 'pods' | 'dragItems' | 'wheels'>,
  speed: number,
  kinematic: number,
  state?: Pick<State, 'addedDrag' | 'towed'>,
): DragItem[] {
  const items: DragItem[] = allBodies(design).map((b, i) => {
    const body = bodyFacts(b.stations),
      f = Math.max(body.fineness, 1.5);
    const form = 1 + 1.5 / f ** 1.5 + 7 / f ** 3;
    return {
      name: i === 0 ? 'body' : design.pods![i - 1].name,
      area: b.count * body.wetted * plateFriction((speed * body.length) / kinematic) * form,
    };
  });
  for (const s of design.surfaces) {
    if (s.role !== 'fin') continue;
    const p = planformOf(s);
    items.push({ name: s.name, area: 2.2 * p.area * plateFriction((speed * p.mac) / kinematic) });
  }
  for (const d of design.dragItems)
    items.push({
      name: d.name,
      area: d.from ? outsideDragArea(d.from, speed, kinematic, design.wheels) : d.dragArea,
    });
  if (state?.addedDrag) items.push({ name: 'open or lowered in this state', area: state.addedDrag });
  items.push({ name: 'interference', area: INTERFERENCE * items.reduce((a, i) => a + i.area, 0) });
  if (state?.towed) {
    const q = 0.5 * 1.2 * speed * speed;
    items.push({ name: 'towed body and line', area: towedLine(state.towed, speed, 1.2).drag / q });
  }
  return items;
}
