/** Members of a design by what they do. */
import type { Member } from './memberSchema';
import type { Design } from './schema';

type Built = Pick<Design, 'structure' | 'surfaces'>;

/** The first member that stands in a surface; the wing's where none is named. */
export function sparOf(d: Built, surface?: string): Member | null {
  const at = surface ?? d.surfaces.find((s) => s.role === 'wing')?.id;
  return d.structure.members.find((m) => m.surface === at) ?? null;
}
