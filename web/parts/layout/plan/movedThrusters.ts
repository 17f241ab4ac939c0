/** Thrusters with one of them put elsewhere; its twin on the other side goes along. */
import type { Thruster } from '@skiametra/core/design';

/** Nearer than this to each other's mirror two are twins [m]. */
const TWIN = 0.002;

/** Whether a thruster of the same drive stands where this one's mirror does. */
function twinOf(was: Thruster): (t: Thruster) => boolean {
  const { x, y } = was;
  if (x === null || y === null || Math.abs(y) <= TWIN) return () => false;
  return (t) =>
    t !== was &&
    t.drive === was.drive &&
    t.x !== null &&
    t.y !== null &&
    Math.abs(t.x - x) < TWIN &&
    Math.abs(t.y + y) < TWIN;
}

/** Thrusters with one of them tilting up to another angle, its twin with it. @param to [rad] */
export function tiltedThrusters(thrusters: readonly Thruster[], id: string, to: number): Thruster[] {
  const was = thrusters.find((t) => t.id === id);
  if (!was?.tilt) return [...thrusters];
  const twin = twinOf(was);
  return thrusters.map((t) =>
    t.tilt && (t === was || twin(t)) ? { ...t, tilt: { from: Math.min(t.tilt.from, to - 0.01), to } } : t,
  );
}

/** @param x aft, y to the right [m] */
export function movedThrusters(thrusters: readonly Thruster[], id: string, x: number, y: number): Thruster[] {
  const was = thrusters.find((t) => t.id === id);
  if (!was || was.x === null || was.y === null) return [...thrusters];
  const twin = twinOf(was);
  // what stands in the middle stays there
  const side = Math.abs(was.y) > TWIN ? y : 0;
  return thrusters.map((t) => (t === was ? { ...t, x, y: side } : twin(t) ? { ...t, x, y: -side } : t));
}
