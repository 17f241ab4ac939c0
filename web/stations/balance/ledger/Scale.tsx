'use client';
/** The whole aircraft on the scale, held against the sum of its parts. */
import { entryOf } from '@skiametra/core/assess';
import { scaleResolution } from '@skiametra/core/mass';
import { QuantityField } from '../../../parts/fields/QuantityField';
import { DocTable, freshId } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { DESIGN } from '../../../parts/paths';
import { ScaleReadings } from './ScaleReadings';

const NO_LIMITS = { longestPiece: null, printer: null, sheet: null };

export function Scale() {
  const scale = useWorkspace((w) => w.content.document.design.scale);
  const states = useWorkspace((w) => w.content.document.design.states);
  const mass = useWorkspace((w) => (w.ledger ? entryOf(w.ledger, 'mass', w.loading)?.value : undefined));
  return (
    <div className="mt12">
      <h2 className="head">The whole aircraft on the scale</h2>
      <Resolution mass={mass ?? 1} />
      {scale.length === 0 && (
        <p className="dim below4">Weigh it once whole: the sum of the parts is held against it.</p>
      )}
      <DocTable
        path={`${DESIGN}.scale`}
        caption="Weighings"
        addLabel="Add a weighing"
        newRow={() => ({
          id: freshId('weighing', scale),
          state: states[0]?.id,
          mass: mass ?? 1,
          cgX: null,
          note: '',
        })}
        columns={[
          {
            key: 'state',
            label: 'In',
            cell: { type: 'choice', options: states.map((l) => ({ value: l.id, label: l.name })) },
          },
          { key: 'mass', label: 'Scale says', cell: { type: 'quantity' }, width: 100 },
          { key: 'note', label: 'Note', cell: { type: 'text' } },
        ]}
      />
      {scale.map((w, i) => (
        <ScaleReadings key={w.id} index={i} />
      ))}
    </div>
  );
}

/** What the builder's scale reads to: figures and ballast follow it. */
function Resolution({ mass }: { mass: number }) {
  const design = useWorkspace((w) => w.content.document.design);
  const edit = useWorkspace((w) => w.edit);
  const set = (si: number) =>
    edit({ type: 'set', path: `${DESIGN}.limits`, value: { ...NO_LIMITS, ...design.limits, scale: si } });
  return (
    <div className="atmost200">
      <QuantityField
        label="It reads to"
        value={scaleResolution(design, mass)}
        kind="mass"
        onCommit={(si) => (si > 0 ? set(si) : 'must be above zero')}
      />
    </div>
  );
}
