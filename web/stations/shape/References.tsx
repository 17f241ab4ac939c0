'use client';
/** What the aircraft is measured by, and what limits its building. */
import { DESIGN } from '../../parts/paths';
import { Button } from '@mantine/core';
import { entryOf } from '@skiametra/core/assess';
import { averageProportions, beyondModels, proportionsOf, withProportions } from '@skiametra/core/layout';
import { formatQuantity } from '@skiametra/core/units';
import { Sentence } from '../../parts/Sentence';
import { DocTable, freshId } from '../../parts/table';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

export function References() {
  const references = useWorkspace((w) => w.content.document.brief.references);
  const design = useWorkspace((w) => w.content.document.design);
  const units = useWorkspace((w) => w.units);
  const mass = useWorkspace((w) => (w.ledger ? entryOf(w.ledger, 'mass', w.loading)?.value : undefined));
  const edit = useWorkspace((w) => w.edit);
  const list = references ?? [];
  const avg = averageProportions(list);
  const fresh = () => ({
    id: freshId('model', list),
    name: 'Model',
    note: '',
    span: 1.5,
    area: 0.35,
    mass: null,
    tailArea: null,
    tailArm: null,
    finArea: null,
    bodyLength: null,
    cgChord: null,
  });
  const row = (name: string, v: number | null, digits = 2) =>
    v === null ? null : (
      <div key={name} className="line apart">
        <span className="dim">{name}</span>
        <span className="num">{v.toFixed(digits)}</span>
      </div>
    );
  return (
    <div className="stack">
      <section className="block">
        <h2>Models whose proportions are known</h2>
        <DocTable
          path="document.brief.references"
          caption="Reference models"
          {...(references ? { addLabel: 'Add a model', newRow: fresh } : {})}
          columns={[
            { key: 'name', label: 'Model', cell: { type: 'text' } },
            { key: 'span', label: 'Span', cell: { type: 'quantity' } },
            { key: 'area', label: 'Wing', cell: { type: 'quantity' } },
            { key: 'mass', label: 'Mass', cell: { type: 'quantity' } },
            { key: 'tailArea', label: 'Tail', cell: { type: 'quantity' } },
            { key: 'tailArm', label: 'Arm', cell: { type: 'quantity' } },
            { key: 'finArea', label: 'Fin', cell: { type: 'quantity' } },
          ]}
        />
        {!references && (
          <Button
            size="xs"
            variant="light"
            onClick={() => edit({ type: 'set', path: 'document.brief.references', value: [fresh()] })}
          >
            Enter a model
          </Button>
        )}
      </section>
      {list.length > 0 && (
        <section className="block">
          <h2>Their mean</h2>
          {row('Aspect ratio', avg.aspectRatio)}
          {row('Wing loading [kg/m²]', avg.wingLoading)}
          {row('Tail over wing area', avg.tailShare, 3)}
          {row('Fin over wing area', avg.finShare, 3)}
          {row('Tail arm over mean chord', avg.tailArm)}
          {row('Tail volume', avg.tailVolume)}
          <Button
            size="xs"
            variant="light"
            mt={8}
            onClick={() =>
              edit({ type: 'set', path: `${DESIGN}.surfaces`, value: withProportions(design, avg) })
            }
          >
            Draw to these proportions at{' '}
            {formatQuantity(Math.max(...design.surfaces[0]!.stations.map((s) => s.y)) * 2, 'length', units)}{' '}
            span
          </Button>
          {mass !== undefined &&
            beyondModels(design, list, mass).map((s) => (
              <div key={String(s.fields.what)} className="looktext note mt4">
                ▲ <Sentence of={s} />
              </div>
            ))}
          <div className="dim small mt4">
            Tail volumes:{' '}
            {list
              .map((m) => {
                const v = proportionsOf(m).tailVolume;
                return v === null ? null : `${m.name} ${v.toFixed(2)}`;
              })
              .filter(Boolean)
              .join('; ') || 'no model has tail and arm'}
            .
          </div>
        </section>
      )}
    </div>
  );
}
