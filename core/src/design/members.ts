/** Members of a design by what they do. */
import type { Member } from './memberSchema';
import type { Design } from './schema';

/** Where a spar usually stands on the chord; common practice, no source. */
export const DEFAULT_CHORD_PLACE = 0.28;

type Built = Pick<Design, 'structure' | 'surfaces'>;

/** The first member that stands in a surface; the wing's where none is named. */
export function sparOf(d: Built, surface?: string): Member | null {
  return membersOf(d, surface)[0] ?? null;
}

/** Members of a surface; the wing's where none is named. */
export function membersOf(d: Built, surface?: string): Member[] {
  const at = surface ?? d.surfaces.find((s) => s.role === 'wing')?.id;
  return d.structure.members.filter((m) => m.surface === at);
}
