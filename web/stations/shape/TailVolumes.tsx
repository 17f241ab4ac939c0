'use client';
/** Volumes of the other surfaces, which they can be sized to. */
import type { Surface } from '@skiametra/core/design';
import { sizedToVolume } from '@skiametra/core/layout';
import { planformOf, tailVolume } from '@skiametra/core/surface';
import { formatQuantity, formatValue } from '@skiametra/core/units';
import { QuantityField } from '../../parts/fields/QuantityField';
import { Readings } from '../../parts/marks/Reading';
import { DESIGN } from '../../parts/paths';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

export function TailVolumes() {
  const surfaces = useWorkspace((w) => w.content.document.design.surfaces);
  const wing = surfaces.find((s) => s.role === 'wing');
  const rest = surfaces.filter((s) => s.role !== 'wing');
  if (!wing || rest.length === 0) return null;
  return (
    <>
      <Readings title="Tail" ids={['tailVolume', 'finVolume']} />
      {rest.map((s) => (
        <TailVolume key={s.id} wing={wing} tail={s} />
      ))}
    </>
  );
}

function TailVolume({ wing, tail }: { wing: Surface; tail: Surface }) {
  const edit = useWorkspace((w) => w.edit);
  const units = useWorkspace((w) => w.units);
  const plan = planformOf(wing),
    v = tailVolume(plan, planformOf(tail), tail.role === 'fin');
  const size = (volume: number): string | null => {
    const sized = sizedToVolume(plan, tail, volume);
    if (!sized) return 'No size of it, where it stands, has that volume.';
    return edit({ type: 'set', path: `${DESIGN}.surfaces.${tail.id}`, value: sized });
  };
  return (
    <div className="small">
      <QuantityField
        label={`Size the ${tail.name.toLowerCase()} to a volume of`}
        kind="ratio"
        value={Number(v.volume.toPrecision(3))}
        onCommit={size}
      />
      <div className="dim">
        Arm {formatQuantity(v.arm, 'length', units)} between quarter chords; by leading edges{' '}
        {formatQuantity(v.armByLeadingEdge, 'length', units)}, volume{' '}
        {formatValue(v.volumeByLeadingEdge, 'ratio', units)}.
      </div>
    </div>
  );
}
