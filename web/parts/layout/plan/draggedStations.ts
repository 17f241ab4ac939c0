/** Span stations after one of their handles was dragged. */
import type { Surface } from '@skiametra/core/design';

export type Edge = 'lead' | 'trail';
type Stations = Surface['stations'];

/** Half a millimetre: no nearer is a wing built. */
const round = (v: number) => Math.round(v * 2000) / 2000;
/** Least room between two stations [m]. */
const APART = 0.005;

/** Stations after dragging one handle to (x aft, y out) in design axes [m]; the table's own rules kept. */
export function draggedStations(
  surface: Surface,
  index: number,
  edge: Edge,
  x: number,
  y: number,
): { stations: Stations; rootX?: number } {
  const s = surface.stations,
    st = s[index],
    y0 = surface.y ?? 0;
  if (!st) return { stations: s };
  const set = (change: Partial<Stations[number]>) => s.map((q, i) => (i === index ? { ...q, ...change } : q));
  if (edge === 'trail')
    return { stations: set({ chord: round(Math.min(5, Math.max(APART, x - surface.x - st.x))) }) };
  if (index === 0) return { stations: [...s], rootX: round(x - st.x) };
  const lo = (s[index - 1]?.y ?? 0) + APART,
    hi = (s[index + 1]?.y ?? 10 + APART) - APART;
  return {
    stations: set({
      x: round(Math.min(5, Math.max(-5, x - surface.x))),
      y: round(Math.min(hi, Math.max(lo, y - y0))),
    }),
  };
}
