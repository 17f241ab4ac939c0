'use client';
/** Columns of a list of the document as the table draws them: fields, choices, totals. */
import { useMemo } from 'react';
import { getPath } from '@skiametra/core/design';
import { formatValue } from '@skiametra/core/units';
import { DocField } from '../fields/DocField';
import { TextCell } from '../fields/TextCell';
import { useWorkspace } from '../workspace/useWorkspace';
import { totalOf } from './block';
import { CheckField } from './CheckField';
import { ChoiceField } from './ChoiceField';
import { copied, kindIn, unitOf, valueIn, type DocColumn, type DocRow, type GridColumn } from './columns';

const FIGURES_WIDTH = 62;

export function useDocColumns(
  path: string,
  columns: readonly DocColumn[],
  rows: readonly DocRow[],
  totalLabel: string | undefined,
): GridColumn<DocRow>[] {
  const units = useWorkspace((w) => w.units);
  return useMemo(
    () =>
      columns.map((c, place): GridColumn<DocRow> => {
        const isNumber = c.cell.type === 'quantity';
        const kind = kindIn(c, {}, path);
        const total = c.total ? totalOf(rows.map((row, i) => valueIn(c, row, i))) : null;
        const summed = total !== null && kind ? formatValue(total, kind, units) : undefined;
        return {
          key: c.key,
          label: c.label,
          hint: c.hint,
          fixed: place === 0,
          numeric: c.numeric ?? isNumber,
          unit: unitOf(c, path, units),
          width: c.width ?? (isNumber ? FIGURES_WIDTH : undefined),
          value: sorts(c) ? (row, i) => valueIn(c, row, i) : undefined,
          text: (row, i) => copied(valueIn(c, row, i), kindIn(c, row, path), units),
          render: (row, i) => <DocCell column={c} path={path} row={row} index={i} />,
          foot: c.foot ?? summed ?? (place === 0 ? totalLabel : undefined),
        };
      }),
    [columns, path, rows, totalLabel, units],
  );
}

/** A column of buttons has nothing to be sorted by. */
function sorts({ cell, label }: DocColumn): boolean {
  return label !== '' && (cell.type !== 'shown' || cell.value !== undefined || cell.paste !== undefined);
}

interface CellProps {
  column: DocColumn;
  path: string;
  row: DocRow;
  index: number;
}
function DocCell({ column, path, row, index }: CellProps) {
  const { cell, key, label } = column;
  const at = `${path}.${index}.${key}`,
    name = `${label}, row ${index + 1}`;
  if (cell.type === 'shown') return cell.render(row, index);
  if (cell.type === 'text') return <TextCell label={name} path={at} />;
  if (cell.type === 'check') return <CheckField label={name} path={at} value={Boolean(getPath(row, key))} />;
  if (cell.type === 'choice')
    return (
      <ChoiceField
        label={name}
        path={at}
        value={String(getPath(row, key) ?? '')}
        options={cell.options}
        nullable={cell.empty === 'null'}
      />
    );
  return (
    <DocField
      label={name}
      path={at}
      kind={kindIn(column, row, path) ?? 'ratio'}
      hideLabel
      hideUnit={typeof cell.kind !== 'function'}
      optional={cell.optional ?? false}
    />
  );
}
