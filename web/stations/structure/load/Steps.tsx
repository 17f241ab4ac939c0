'use client';
/** The steps of a load test: bags on each half, what the tip is expected to do, what was read, what was held. */
import { Checkbox } from '@mantine/core';
import type { LoadPlan, LoadTest } from '@skiametra/core/design';
import { formatQuantity, formatValue, shownUnit, unitLabel } from '@skiametra/core/units';
import { QuantityField } from '../../../parts/fields/QuantityField';
import { ShownTable, type ShownColumn } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

interface Props {
  load: LoadTest;
  plan: LoadPlan;
  set: (patch: Partial<LoadTest>) => string | null;
}

type Row = LoadPlan['steps'][number] & { step: number };

export function Steps({ load, plan, set }: Props) {
  const units = useWorkspace((w) => w.units),
    grams = unitLabel(shownUnit('mass', units)),
    read = (i: number, si: number | null) =>
      set({ readings: plan.steps.map((_, k) => (k === i ? si : (load.readings[k] ?? null))) });
  const places: ShownColumn<Row>[] = plan.places.map((y, k) => ({
    key: `bag-${k}`,
    label: `${formatQuantity(y, 'length', units)} out`,
    kind: 'mass',
    value: (r) => r.bags[k]!,
  }));
  const columns: ShownColumn<Row>[] = [
    { key: 'step', label: 'Step', width: 48, value: (r) => r.step },
    { key: 'n', label: 'Root', kind: 'loadFactor', width: 62, value: (r) => r.n },
    ...(load.kind === 'tips'
      ? [{ key: 'ballast', label: 'In the body', kind: 'mass' as const, value: (r: Row) => r.bags[0]! }]
      : places),
    { key: 'tip', label: 'Tip, expected', kind: 'length', width: 84, value: (r) => r.tip },
    {
      key: 'read',
      label: 'Tip, read',
      width: 104,
      value: (r) => load.readings[r.step - 1] ?? null,
      kind: 'length',
      render: (r) => (
        <QuantityField
          label={`Tip read, step ${r.step}`}
          hideLabel
          kind="length"
          value={load.readings[r.step - 1] ?? null}
          onCommit={(si) => read(r.step - 1, si)}
          onClear={() => read(r.step - 1, null)}
        />
      ),
    },
    {
      key: 'held',
      label: 'Held',
      width: 52,
      value: (r) => (r.step <= load.held ? 'yes' : 'no'),
      render: (r) => (
        <Checkbox
          aria-label={`Step ${r.step} held`}
          checked={r.step <= load.held}
          onChange={(e) => set({ held: e.currentTarget.checked ? r.step : r.step - 1 })}
        />
      ),
    },
  ];
  const total = (bags: readonly number[]) => bags.reduce((s, kg) => s + kg, 0);
  const last = plan.steps[plan.steps.length - 1]!;
  return (
    <>
      <ShownTable
        name="Steps of the load test"
        columns={columns}
        rows={plan.steps.map((s, i) => ({ ...s, step: i + 1 }))}
        rowKey={(r) => String(r.step)}
      />
      <p className="dim note flush">
        {load.kind === 'bags'
          ? `Bags on each half: ${formatValue(total(last.bags), 'mass', units)} ${grams} a half in the last step. The wing’s own weight is counted in the load, not in the tip.`
          : 'Both tips on supports, mass added in the body. The tip is read against the root.'}
      </p>
    </>
  );
}
