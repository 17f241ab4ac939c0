'use client';
/** Columns of the mass ledger. */
import { useMemo } from 'react';
import { BASES, type Design, type Item } from '@skiametra/core/design';
import { loadedState, plannedItem, standsWherePut } from '@skiametra/core/mass';
import { formatValue, type UnitSystem } from '@skiametra/core/units';
import type { DocColumn, DocRow } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { IsPart } from './IsPart';
import { InWing, Movable, Place, Planned, Weighed } from './MassCells';
import { MassFrom } from './MassFrom';
import { weighedSentence, weighedSum } from './weighed';

const GROUPS = ['structure', 'propulsion', 'battery', 'electronics', 'gear', 'other'] as const;
const named = (list: readonly string[]) => list.map((value) => ({ value, label: value }));
const item = (row: DocRow) => row as unknown as Item;

/** @param more with groups, sides and heights */
export function useMassColumns(more: boolean): DocColumn[] {
  const design = useWorkspace((w) => w.content.document.design);
  const units = useWorkspace((w) => w.units);
  return useMemo(() => {
    const name: DocColumn = { key: 'name', label: 'Item', cell: { type: 'text' } };
    const [planned, basis, weighed, x, moves] = usual(design, units);
    if (!more) return [name, planned, basis, weighed, x, moves];
    return [{ ...name, width: 128 }, ...GROUPING, planned, FROM, basis, weighed, x, ...SIDES, moves];
  }, [design, units, more]);
}

/** Columns that are always there, with what the whole comes to below them. */
function usual(design: Design, units: UnitSystem): [DocColumn, DocColumn, DocColumn, DocColumn, DocColumn] {
  const sum = weighedSum(design);
  return [
    {
      key: 'planned',
      label: 'Planned',
      numeric: true,
      width: 58,
      foot: formatValue(loadedState(design, { count: 0 }, 'plan', 1).mass, 'mass', units),
      cell: {
        type: 'shown',
        render: (_, i) => <Planned index={i} />,
        value: (row) => plannedItem(item(row), design).mass,
        paste: {
          kind: 'mass',
          sub: (row) => (item(row).planned.kind === 'mass' ? 'planned.mass' : null),
        },
      },
    },
    { key: 'basis', label: 'Known by', width: 78, cell: { type: 'choice', options: named(BASES) } },
    {
      key: 'weighed',
      label: 'Weighed',
      numeric: true,
      width: 58,
      foot: sum.count > 0 ? formatValue(sum.mass, 'mass', units) : '–',
      cell: {
        type: 'shown',
        render: (_, i) => <Weighed index={i} />,
        paste: { kind: 'mass', sub: () => 'weighed' },
      },
    },
    {
      key: 'x',
      label: 'x',
      hint: 'From the datum back',
      numeric: true,
      width: 52,
      foot: <span className="beside">{weighedSentence(sum)}</span>,
      cell: {
        type: 'shown',
        render: (_, i) => <Place index={i} />,
        value: (row) => plannedItem(item(row), design).x,
        paste: { kind: 'length', sub: (row) => (standsWherePut(item(row)) ? 'x' : null) },
      },
    },
    {
      key: 'move',
      label: 'Moves',
      width: 44,
      cell: { type: 'shown', render: (_, i) => <Movable index={i} /> },
    },
  ];
}

const GROUPING: DocColumn[] = [
  {
    key: 'part',
    label: 'Is the',
    width: 88,
    cell: {
      type: 'shown',
      render: (_, i) => <IsPart index={i} />,
      value: (row) => item(row).part?.kind ?? null,
    },
  },
  { key: 'group', label: 'Group', width: 92, cell: { type: 'choice', options: named(GROUPS) } },
];
const FROM: DocColumn = {
  key: 'how',
  label: 'Mass from',
  width: 80,
  cell: {
    type: 'shown',
    render: (_, i) => <MassFrom index={i} />,
    value: (row) => item(row).planned.kind,
  },
};
const SIDES: DocColumn[] = [
  { key: 'y', label: 'y', hint: 'From the middle, right positive', width: 60, cell: { type: 'quantity' } },
  { key: 'z', label: 'z', hint: 'From the datum up', width: 60, cell: { type: 'quantity' } },
  {
    key: 'inWing',
    label: 'In wing',
    width: 50,
    cell: { type: 'shown', render: (_, i) => <InWing index={i} /> },
  },
];
