/** What a column of a table is: how its cells look, sort, copy and, in a list of the document, what a pasted cell sets. */
import type { ReactNode } from 'react';
import { documentField, getPath } from '@skiametra/core/design';
import { formatForEditing, formatValue, shownUnit, unitLabel } from '@skiametra/core/units';
import type { KindName, UnitSystem } from '@skiametra/core/units';

/** What a cell sorts by and is copied as: a number in SI of the column's kind, or text; null where nothing is known. */
export type CellValue = number | string | null;

/** A column as the table draws it. */
export interface GridColumn<R> {
  readonly key: string;
  readonly label: string;
  readonly unit?: string | undefined;
  /** right-aligned */ readonly numeric?: boolean | undefined;
  /** [px]; shares what is left where undefined */ readonly width?: number | undefined;
  /** said of the heading when it is pointed at */ readonly hint?: string | undefined;
  /** as it sorts; a column without it does not */ readonly value?:
    ((row: R, index: number) => CellValue) | undefined;
  /** as it is copied */ readonly text?: ((row: R, index: number) => string) | undefined;
  readonly render: (row: R, index: number) => ReactNode;
  /** below the column */ readonly foot?: ReactNode;
  /** stays when columns are chosen */ readonly fixed?: boolean | undefined;
}

/** Kind of a column of numbers; a function where rows differ. */
type KindOf<R> = KindName | ((row: R) => KindName);

/** A column of rows that are computed, not typed. */
export interface ShownColumn<R> extends Omit<GridColumn<R>, 'render' | 'text' | 'unit'> {
  readonly kind?: KindName | undefined;
  /** where a cell is more than its value */ readonly render?: (row: R, index: number) => ReactNode;
}

/** A row of a list of the document. */
export type DocRow = Record<string, unknown>;

/** A column of a list of the document. */
export interface DocColumn {
  readonly key: string;
  readonly label: string;
  readonly width?: number | undefined;
  readonly numeric?: boolean | undefined;
  readonly hint?: string | undefined;
  /** the sum of the column stands below it, in a word where there is one */ readonly total?:
    boolean | undefined;
  readonly foot?: ReactNode;
  readonly cell: TextCell | QuantityCell | ChoiceCell | CheckCell | ShownCell;
}
interface TextCell {
  readonly type: 'text';
}
interface QuantityCell {
  readonly type: 'quantity';
  /** as the schema declares the leaf, where left out */ readonly kind?: KindOf<DocRow> | undefined;
  /** emptying the cell takes the number out, or makes it null */ readonly optional?:
    boolean | 'null' | undefined;
}
interface ChoiceCell {
  readonly type: 'choice';
  /** what the first option, an empty one, makes of it; taken out where left out */ readonly empty?:
    'null' | undefined;
  readonly options: readonly { readonly value: string; readonly label: string }[];
}
/** Yes or no. */
interface CheckCell {
  readonly type: 'check';
}
interface ShownCell {
  readonly type: 'shown';
  readonly render: (row: DocRow, index: number) => ReactNode;
  /** as it sorts and is copied */ readonly value?: ((row: DocRow, index: number) => CellValue) | undefined;
  /** what a pasted cell sets: kind and place within the row, null where the row takes none */ readonly paste?:
    { readonly kind: KindName; readonly sub: (row: DocRow) => string | null } | undefined;
}

/** Kind of a column in a row; null where it holds no number. */
export function kindIn(c: DocColumn, row: DocRow, path: string): KindName | null {
  if (c.cell.type === 'shown') return c.cell.paste?.kind ?? null;
  if (c.cell.type !== 'quantity') return null;
  if (typeof c.cell.kind === 'function') return c.cell.kind(row);
  return c.cell.kind ?? documentField(`${path}.0.${c.key}`.replace(/^document\./, ''))?.kind ?? 'ratio';
}

/** The unit of a whole column; empty where its rows are of several kinds, or of none. */
export function unitOf(c: DocColumn, path: string, units: UnitSystem): string {
  if (c.cell.type === 'quantity' && typeof c.cell.kind === 'function') return '';
  const kind = kindIn(c, {}, path);
  return kind ? unitLabel(shownUnit(kind, units)) : '';
}

/** What stands in a cell of the document. */
export function valueIn(c: DocColumn, row: DocRow, index: number): CellValue {
  const { cell } = c;
  if (cell.type === 'shown') {
    if (cell.value) return cell.value(row, index);
    const sub = cell.paste?.sub(row) ?? null;
    return sub === null ? null : plain(getPath(row, sub));
  }
  if (cell.type === 'check') return getPath(row, c.key) ? 'yes' : 'no';
  const value = plain(getPath(row, c.key));
  if (cell.type !== 'choice') return value;
  return cell.options.find((o) => o.value === String(value ?? ''))?.label ?? null;
}

/** A value as it is copied: a number bare, in the person's unit. */
export function copied(value: CellValue, kind: KindName | null, units: UnitSystem): string {
  if (value === null) return '';
  if (typeof value === 'string') return value;
  return kind ? formatForEditing(value, kind, units) : String(value);
}

/** A value as it is shown in a table that is not typed in. */
export function shown(value: CellValue, kind: KindName | undefined, units: UnitSystem): string {
  if (value === null) return '–';
  if (typeof value === 'string') return value;
  return kind ? formatValue(value, kind, units) : String(value);
}

/** Numbers by size, words by the alphabet with numbers in them by size; what is not known comes last, either way. */
export function inOrder(a: CellValue, b: CellValue, descending: boolean): number {
  if (a === null || b === null) return a === b ? 0 : a === null ? 1 : -1;
  const up =
    typeof a === 'number' && typeof b === 'number'
      ? a - b
      : String(a).localeCompare(String(b), 'en', { numeric: true });
  return descending ? -up : up;
}

function plain(value: unknown): CellValue {
  return typeof value === 'number' || typeof value === 'string' ? value : null;
}
