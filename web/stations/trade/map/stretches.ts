/** Runs of neighbouring cells that something blocks, by the limit that is farthest beyond. */
import type { Stretch } from '../../../parts/chartMarks';
import type { Found } from './useSweep';

export function stretchesOf({ task, cells, names }: Pick<Found, 'task' | 'cells' | 'names'>): Stretch[] {
  const { values } = task.axes[0]!,
    half = values.length > 1 ? (values[1]! - values[0]!) / 2 : 0,
    out: (Stretch & { id: string })[] = [];
  values.forEach((v, i) => {
    const c = cells[i];
    if (!c || c.feasible) return;
    const id = [...c.blocked].sort((a, b) => c.margins[a]! - c.margins[b]!)[0] ?? 'stopped',
      last = out[out.length - 1],
      from = v - half;
    if (last && last.id === id && Math.abs(last.to - from) < Math.abs(half)) last.to = v + half;
    else out.push({ id, from, to: v + half, name: names[id] ?? c.stopped ?? id });
  });
  return out.map(({ id: _, ...s }) => s);
}
