'use client';
/** What is asked of the aircraft. */
import { CellSelect } from '../../parts/fields/CellSelect';
import { BRIEF } from '../../parts/paths';
import { checkRequirements, quantityDef } from '@skiametra/core/assess';
import { QuantityField } from '../../parts/fields/QuantityField';
import { quantityOptions } from '../../parts/quantityList';
import { DocTable, freshId } from '../../parts/table';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { hasPlaces } from './places';
import { PlaceCell } from './PlaceCell';
import { Proven } from './Proven';
import { useMeasured } from './useMeasured';

type Op = 'atLeast' | 'atMost' | 'between';
const OPS: { value: Op; label: string }[] = [
  { value: 'atLeast', label: 'at least' },
  { value: 'atMost', label: 'at most' },
  { value: 'between', label: 'between' },
];

export function Requirements() {
  const brief = useWorkspace((w) => w.content.document.brief);
  const design = useWorkspace((w) => w.content.document.design);
  const ledger = useWorkspace((w) => w.ledger);
  const edit = useWorkspace((w) => w.edit);
  const measured = useMeasured();
  const checks = ledger && !ledger.stopped ? checkRequirements(brief, design, ledger, measured) : [];
  const placed = brief.requirements.some((r) => hasPlaces(r.quantity));
  const states = [
    { value: 'all', label: 'every state' },
    ...design.states.map((l) => ({ value: l.id, label: l.name })),
  ];
  const limit = (i: number, which: 'min' | 'max') => {
    const r = brief.requirements[i];
    if (!r) return null;
    const kind = quantityDef(r.quantity)?.kind ?? 'ratio';
    const used = which === 'min' ? r.op !== 'atMost' : r.op !== 'atLeast';
    if (!used) return <span className="dim">–</span>;
    return (
      <QuantityField
        label={`${which === 'min' ? 'At least' : 'At most'}, row ${i + 1}`}
        hideLabel
        value={r[which]}
        kind={kind}
        onCommit={(si) => edit({ type: 'set', path: `${BRIEF}.requirements.${i}.${which}`, value: si })}
      />
    );
  };
  const setOp = (i: number, op: Op) => {
    const r = brief.requirements[i];
    if (!r) return;
    const some = r.min ?? r.max ?? 0;
    edit({
      type: 'set',
      path: `${BRIEF}.requirements.${i}`,
      value: {
        ...r,
        op,
        min: op === 'atMost' ? null : (r.min ?? some),
        max: op === 'atLeast' ? null : (r.max ?? some),
      },
    });
  };
  return (
    <section className="block">
      <h2>Requirements</h2>
      <DocTable
        path={`${BRIEF}.requirements`}
        caption="Requirements"
        addLabel="Add a requirement"
        newRow={() => ({
          id: freshId('req', brief.requirements),
          quantity: 'stallSpeed',
          state: 'all',
          op: 'atMost',
          min: null,
          max: 10,
          rule: '',
          wish: false,
        })}
        columns={[
          {
            key: 'quantity',
            label: 'Quantity',
            cell: { type: 'choice', options: quantityOptions },
            width: 148,
          },
          { key: 'state', label: 'In', cell: { type: 'choice', options: states }, width: 88 },
          ...(placed
            ? [
                {
                  key: 'part',
                  label: 'Of',
                  width: 96,
                  cell: {
                    type: 'shown' as const,
                    render: (_: unknown, i: number) => <PlaceCell index={i} />,
                  },
                },
              ]
            : []),
          {
            key: 'op',
            label: 'Must be',
            width: 62,
            cell: {
              type: 'shown',
              render: (_, i) => (
                <CellSelect
                  label={`Must be, row ${i + 1}`}
                  value={brief.requirements[i]?.op ?? 'atLeast'}
                  options={OPS}
                  onChange={(op) => setOp(i, op as Op)}
                />
              ),
            },
          },
          {
            key: 'min',
            label: 'Low',
            numeric: true,
            width: 80,
            cell: { type: 'shown', render: (_, i) => limit(i, 'min') },
          },
          {
            key: 'max',
            label: 'High',
            numeric: true,
            width: 80,
            cell: { type: 'shown', render: (_, i) => limit(i, 'max') },
          },
          { key: 'rule', label: 'Rule it comes from', cell: { type: 'text' } },
          {
            key: 'id',
            label: 'Comes to',
            width: 108,
            cell: {
              type: 'shown',
              render: (_, i) => {
                const c = checks[i];
                return c ? <Proven check={c} /> : <span className="dim">…</span>;
              },
            },
          },
        ]}
      />
    </section>
  );
}
