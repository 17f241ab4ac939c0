/** Where the stations of a surface lie: of a lifting surface (x, y, z) from its root; of a fin x, z sideways, y upward. */
import type { Station, Surface } from '../design';

/** Does a surface stand on both sides? */
export function isMirrored(surface: Pick<Surface, 'role' | 'mirror'>): boolean {
  return surface.mirror ?? surface.role !== 'fin';
}

/** Leading edge of a station in design axes, right side [m]. */
export function placeOf(
  surface: Surface,
  st: Pick<Station, 'x' | 'y' | 'z'>,
): { x: number; y: number; z: number } {
  const y0 = surface.y ?? 0;
  return surface.role === 'fin'
    ? { x: surface.x + st.x, y: y0 + st.z, z: surface.z + st.y }
    : { x: surface.x + st.x, y: y0 + st.y, z: surface.z + st.z };
}
