'use client';
/** Mass, CG and what follows of it in every state; a press on a name takes it into view. */
import { UnstyledButton } from '@mantine/core';
import { formatValue } from '@skiametra/core/units';
import type { LayoutReport } from '@skiametra/core/views';
import { ShownTable, type ShownColumn } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

type StateRow = LayoutReport['states'][number];

export function StateTable({ states }: { states: readonly StateRow[] }) {
  const loading = useWorkspace((w) => w.loading);
  const setLoading = useWorkspace((w) => w.setLoading);
  const units = useWorkspace((w) => w.units);
  // where every state hangs on rotors there is no margin
  const flies = states.some((s) => !s.hover);
  const margin: ShownColumn<StateRow> = {
    key: 'margin',
    label: 'Margin',
    kind: 'percent',
    value: (s) => (s.hover ? null : s.margin),
    render: (s) => (
      <span className={s.inside ? undefined : 'stoptext'}>
        {s.hover ? '–' : formatValue(s.margin, 'percent', units)}
      </span>
    ),
  };
  const columns: ShownColumn<StateRow>[] = [
    {
      key: 'name',
      label: 'State',
      fixed: true,
      value: (s) => s.name,
      render: (s) => (
        <UnstyledButton className="sorter" onClick={() => setLoading(s.loading)}>
          {s.name}
          {s.hover && flies ? ' (hover)' : ''}
        </UnstyledButton>
      ),
    },
    ...FIGURES.slice(0, 3),
    ...(flies ? [margin] : []),
    ...FIGURES.slice(3).filter((f) => flies || f.key !== 'yaw'),
  ];
  return (
    <ShownTable
      name="Every state"
      rows={states}
      rowKey={(s) => s.loading}
      rowClass={(s) => (s.loading === loading ? 'chosen' : undefined)}
      columns={columns}
    />
  );
}

const FIGURES: ShownColumn<StateRow>[] = [
  { key: 'mass', label: 'Mass', kind: 'allUpMass', value: (s) => s.mass },
  { key: 'cg', label: 'CG', kind: 'length', value: (s) => s.cgX },
  { key: 'spread', label: '± CG', kind: 'length', value: (s) => s.cgSpread },
  {
    key: 'yaw',
    label: 'Yaw stiffness Cnβ',
    kind: 'perRad',
    value: (s) => (s.hover ? null : s.yaw),
  },
  { key: 'ixx', label: 'Inertia in roll', kind: 'inertia', value: (s) => s.ixx },
  { key: 'iyy', label: 'in pitch', kind: 'inertia', value: (s) => s.iyy },
  { key: 'izz', label: 'in yaw', kind: 'inertia', value: (s) => s.izz },
  { key: 'drag', label: 'Added drag', kind: 'dragArea', value: (s) => s.extraDrag || null },
];
