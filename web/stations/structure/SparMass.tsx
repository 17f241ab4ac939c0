'use client';
/** What the spar weighs. */
import { sparOf } from '@skiametra/core/design';
import { sparSection } from '@skiametra/core/structure';
import { formatQuantity } from '@skiametra/core/units';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

export function SparMass() {
  const design = useWorkspace((w) => w.content.document.design);
  const units = useWorkspace((w) => w.units);
  const spar = sparOf(design)?.shape;
  if (!spar) return null;
  const s = sparSection(spar);
  const wing = design.surfaces.find((x) => x.role === 'wing')!;
  const length = 2 * wing.stations[wing.stations.length - 1]!.y;
  return (
    <p className="dim flush note">
      This spar weighs {formatQuantity(s.perLength * length, 'mass', units)} over the span. It is limited by{' '}
      {s.limitedBy.toLowerCase()}. Left out: torsion, local buckling of thin walls, the skin’s share.
    </p>
  );
}
