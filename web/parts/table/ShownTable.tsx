'use client';
/** A table of what is computed: sorted, chosen, copied; nothing in it is typed. */
import { shownUnit, unitLabel } from '@skiametra/core/units';
import { useWorkspace } from '../workspace/useWorkspace';
import { copied, shown, type GridColumn, type ShownColumn } from './columns';
import { Table } from './Table';

interface Props<R> {
  name: string;
  columns: readonly ShownColumn<R>[];
  rows: readonly R[];
  rowKey: (row: R, index: number) => string;
  rowClass?: ((row: R, index: number) => string | undefined) | undefined;
  /** columns share the width evenly */ fixed?: boolean;
}

export function ShownTable<R>({ name, columns, rows, rowKey, rowClass, fixed }: Props<R>) {
  const units = useWorkspace((w) => w.units);
  const drawn = columns.map((c): GridColumn<R> => {
    const { kind, value, render } = c;
    return {
      ...c,
      numeric: c.numeric ?? kind !== undefined,
      unit: kind && unitLabel(shownUnit(kind, units)),
      text: (row, i) => copied(value?.(row, i) ?? null, kind ?? null, units),
      render: render ?? ((row, i) => shown(value?.(row, i) ?? null, kind, units)),
    };
  });
  return (
    <Table
      name={name}
      columns={drawn}
      rows={rows}
      rowKey={rowKey}
      rowClass={rowClass}
      className={fixed ? 'fixed' : 'free'}
    />
  );
}
