/** Thrusters with one of them put elsewhere; its twin on the other side goes along. */
import type { Thruster } from '@skiametra/core/design';

/** Nearer than this to each other's mirror two are twins [m]. */
const TWIN = 0.002;

/** @param x aft, y to the right [m] */
export function movedThrusters(thrusters: readonly Thruster[], id: string, x: number, y: number): Thruster[] {
  const was = thrusters.find((t) => t.id === id);
  if (!was || was.x === null || was.y === null) return [...thrusters];
  const { x: fromX, y: fromY } = was;
  const twin = (t: Thruster) =>
    t !== was &&
    t.drive === was.drive &&
    Math.abs(fromY) > TWIN &&
    t.x !== null &&
    t.y !== null &&
    Math.abs(t.x - fromX) < TWIN &&
    Math.abs(t.y + fromY) < TWIN;
  // what stands in the middle stays there
  const side = Math.abs(fromY) > TWIN ? y : 0;
  return thrusters.map((t) => (t === was ? { ...t, x, y: side } : twin(t) ? { ...t, x, y: -side } : t));
}
