/** What was weighed beside what was planned for it. */
import type { Design } from '@skiametra/core/design';
import { aboard, plannedItem } from '@skiametra/core/mass';

/** What is weighed, summed, beside what was planned for those lines alone. */
export function weighedSum(design: Design): { count: number; of: number; mass: number; planned: number } {
  const done = design.items.filter((i) => i.weighed !== null && aboard(design, i));
  return {
    count: done.length,
    of: design.items.length,
    mass: done.reduce((s, i) => s + i.weighed!, 0),
    planned: done.reduce((s, i) => s + plannedItem(i, design).mass, 0),
  };
}

/** How far what was weighed is off its plan; nothing is claimed of what was not. */
export function weighedSentence({ count, of, mass, planned }: ReturnType<typeof weighedSum>): string {
  if (count === 0) return 'none yet';
  const off = planned > 0 ? 100 * (mass / planned - 1) : 0;
  const lines = count < of ? `${count} of ${of}: ` : '';
  return planned > 0 ? `${lines}${off >= 0 ? '+' : '−'}${Math.abs(off).toFixed(1)} %` : lines;
}
