'use client';
/** Proportions side by side, the design beside the models; what is beyond a donor is said. */
import { entryOf } from '@skiametra/core/assess';
import type { ReferenceModel } from '@skiametra/core/design';
import {
  averageProportions,
  beyondDonors,
  ownProportions,
  proportionsOf,
  type Proportions as P,
} from '@skiametra/core/layout';
import type { KindName } from '@skiametra/core/units';
import { Sentence } from '../../../parts/Sentence';
import { ShownTable, type ShownColumn } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

const ROWS: readonly { key: keyof P; label: string; kind: KindName }[] = [
  { key: 'aspectRatio', label: 'Aspect ratio', kind: 'ratio' },
  { key: 'wingLoading', label: 'Wing loading', kind: 'wingLoading' },
  { key: 'tailShare', label: 'Tail over wing', kind: 'percent' },
  { key: 'finShare', label: 'Fin over wing', kind: 'percent' },
  { key: 'tailArm', label: 'Arm over chord', kind: 'ratio' },
  { key: 'tailVolume', label: 'Tail volume', kind: 'ratio' },
  { key: 'bodyLength', label: 'Body over span', kind: 'ratio' },
  { key: 'discLoading', label: 'Disc loading', kind: 'wingLoading' },
  { key: 'payloadShare', label: 'Payload over mass', kind: 'percent' },
];

interface Row {
  readonly id: string;
  readonly name: string;
  readonly of: P;
}

export function Proportions({ models }: { models: readonly ReferenceModel[] }) {
  const design = useWorkspace((w) => w.content.document.design),
    loading = useWorkspace((w) => w.loading);
  const mass = useWorkspace((w) => (w.ledger ? entryOf(w.ledger, 'mass', w.loading)?.value : undefined)),
    payload = useWorkspace((w) =>
      w.ledger ? entryOf(w.ledger, 'payloadMass', w.loading)?.value : undefined,
    ),
    fastest = useWorkspace((w) => (w.ledger ? entryOf(w.ledger, 'topSpeed', w.loading)?.value : undefined)),
    state = design.states.find((s) => s.id === loading)?.name ?? '';
  const rows: Row[] = [
    { id: '·own', name: `This design, ${state}`, of: ownProportions(design, mass ?? null, payload ?? null) },
    ...models.map((m) => ({ id: m.id, name: m.name, of: proportionsOf(m) })),
    { id: '·mean', name: 'Mean of the models', of: averageProportions(models) },
  ];
  const told = ROWS.filter(({ key }) => rows.some((r) => r.of[key] !== null)),
    beyond = mass === undefined ? [] : beyondDonors(models, { mass, fastest: fastest ?? null });
  const columns: ShownColumn<Row>[] = [
    { key: 'name', label: 'Model', fixed: true, value: (r) => r.name },
    ...told.map(({ key, label, kind }): ShownColumn<Row> => ({ key, label, kind, value: (r) => r.of[key] })),
  ];
  return (
    <section className="block" aria-label="Proportions side by side">
      <h2>Proportions side by side</h2>
      <ShownTable
        name="Proportions"
        rows={rows}
        rowKey={(r) => r.id}
        rowClass={(r) => (r.id === '·own' ? 'chosen' : undefined)}
        columns={columns}
      />
      {beyond.map((s) => (
        <div key={`${s.code} ${String(s.fields.name)}`} className="looktext note mt4">
          ▲ <Sentence of={s} />
        </div>
      ))}
    </section>
  );
}
