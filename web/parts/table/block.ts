/** Whole blocks of a table: copied with headings and units, pasted back as one change, filled down. */
import { getPath, setPath } from '@skiametra/core/design';
import { parseQuantity } from '@skiametra/core/units';
import type { Comma, UnitSystem } from '@skiametra/core/units';
import { kindIn, type CellValue, type DocColumn, type DocRow } from './columns';

/** A cell as displayed: row and column counted from 0. */
export interface CellAt {
  readonly row: number;
  readonly column: number;
}
export interface Block {
  readonly from: CellAt;
  readonly to: CellAt;
}

/** The block between two of its corners, whichever they are. */
export function blockBetween(a: CellAt, b: CellAt): Block {
  return {
    from: { row: Math.min(a.row, b.row), column: Math.min(a.column, b.column) },
    to: { row: Math.max(a.row, b.row), column: Math.max(a.column, b.column) },
  };
}

export function inBlock({ from, to }: Block, { row, column }: CellAt): boolean {
  return row >= from.row && row <= to.row && column >= from.column && column <= to.column;
}

export function cellsOf({ from, to }: Block): number {
  return (to.row - from.row + 1) * (to.column - from.column + 1);
}

/** A heading as it is copied: the unit in brackets. */
export const heading = (label: string, unit: string | undefined) => (unit ? `${label} [${unit}]` : label);

/** Where a pasted text goes: rows of the list and columns as displayed, from the cell in hand on. */
export interface PasteInto {
  readonly path: string;
  readonly list: readonly DocRow[];
  /** places in the list, as displayed from the cell in hand on */ readonly rows: readonly number[];
  /** as displayed from the cell in hand on */ readonly columns: readonly DocColumn[];
  /** all as displayed, which headings name */ readonly every: readonly DocColumn[];
  readonly newRow?: (() => unknown) | undefined;
  readonly units: UnitSystem;
  readonly comma: Comma | null;
}
export type Pasted =
  | { readonly status: 'ok'; readonly list: DocRow[]; readonly leftOut: readonly string[] }
  | { readonly status: 'refused'; readonly message: string };

/** A column that pasted cells go to, with the unit that their heading names. */
interface Target {
  readonly column: DocColumn | null;
  readonly unit: string;
}

const words = (s: string) => s.toLowerCase().replace(/\s+/g, ' ').trim();

/** A heading taken apart: `Chord [mm]` is a chord in mm. */
function readHeading(text: string): { name: string; unit: string } {
  const parts = /^(.*?)\s*\[([^\]]*)\]$/.exec(text);
  return { name: words(parts?.[1] ?? text), unit: parts?.[2] ?? '' };
}

/** The columns that a first line of headings names; null where it is a line of data. */
function headed(line: readonly string[], every: readonly DocColumn[]): Target[] | null {
  const targets = line.map((text) => {
    const { name, unit } = readHeading(text);
    return { column: every.find((c) => c.label !== '' && words(c.label) === name) ?? null, unit };
  });
  const named = targets.filter((t) => t.column).length;
  const said = line.filter((t) => t !== '').length;
  return named > 0 && named * 2 >= said && (named > 1 || said === 1) ? targets : null;
}

class Refusal extends Error {}

/**
 * Lays pasted lines into a list. A first line of headings says by name which columns follow and in what unit; without it
 * cells go to the columns from the one in hand on. Rows beyond the end are added where the table can grow.
 *
 * @returns the list as it would be, or a sentence; the list handed in is never changed
 */
export function placePasted(lines: readonly (readonly string[])[], into: PasteInto): Pasted {
  const first = lines[0] ?? [],
    byName = headed(first, into.every),
    targets: readonly Target[] = byName ?? into.columns.map((column) => ({ column, unit: '' })),
    data = byName ? lines.slice(1) : lines;
  const list = [...into.list];
  try {
    for (const [i, cells] of data.entries()) {
      const at = rowFor(i, list, into);
      for (const [j, text] of cells.entries()) {
        const target = targets[j];
        if (target?.column) list[at] = laid(list[at] ?? {}, target.column, withUnit(text, target.unit), into);
      }
    }
  } catch (e) {
    if (e instanceof Refusal) return { status: 'refused', message: e.message };
    throw e;
  }
  const leftOut = byName ? first.filter((t, j) => t !== '' && !targets[j]?.column) : [];
  return { status: 'ok', list, leftOut };
}

/** Place in the list of the i-th pasted line, which is added where it lies beyond the end. */
function rowFor(i: number, list: DocRow[], { rows, newRow }: PasteInto): number {
  const there = rows[i];
  if (there !== undefined) return there;
  if (!newRow)
    throw new Refusal('The pasted block has more rows than the table from here on. Nothing was pasted.');
  return list.push(newRow() as DocRow) - 1;
}

/** A bare number is in the unit that its heading names. */
function withUnit(text: string, unit: string): string {
  return unit !== '' && /^[-−+]?[\d.,\s]*\d[\d.,\s]*$/.test(text) ? `${text} ${unit}` : text;
}

/** A row with the pasted cell in it. */
function laid(row: DocRow, column: DocColumn, text: string, into: PasteInto): DocRow {
  const { cell, key } = column;
  if (cell.type === 'text') return setPath(row, key, text);
  if (cell.type === 'choice') return setPath(row, key, chosen(column, text));
  if (cell.type === 'check') return setPath(row, key, isYes(column, text));
  const sub = cell.type === 'shown' ? (cell.paste?.sub(row) ?? null) : key;
  if (sub === null || (cell.type === 'shown' && text === '')) return row;
  if (text === '' && cell.type === 'quantity' && cell.optional)
    return setPath(row, sub, cell.optional === 'null' ? null : undefined);
  const kind = kindIn(column, row, into.path) ?? 'ratio';
  const read = parseQuantity(text, kind, into.units, into.comma);
  if (read.status === 'ok') return setPath(row, sub, read.si);
  throw new Refusal(`Pasted “${text.slice(0, 20)}” for ${column.label}: ${read.message} Nothing was pasted.`);
}

/** The value of an option that a text names. */
function chosen({ label, cell }: DocColumn, text: string): string | null | undefined {
  const options = cell.type === 'choice' ? cell.options : [];
  const found = options.find((o) => words(o.label) === words(text) || o.value === text);
  if (found) return found.value || (cell.type === 'choice' && cell.empty === 'null' ? null : undefined);
  const all = options.map((o) => o.label).join(', ');
  throw new Refusal(`“${text.slice(0, 20)}” is none of ${label}: ${all}. Nothing was pasted.`);
}

const YES = ['yes', 'x', '1', 'true'];
const NO = ['no', '', '0', 'false'];

function isYes({ label }: DocColumn, text: string): boolean {
  if (YES.includes(words(text))) return true;
  if (NO.includes(words(text))) return false;
  throw new Refusal(`“${text.slice(0, 20)}” for ${label} is neither yes nor no. Nothing was pasted.`);
}

/** The uppermost row of a block repeated in those below it; a column that takes nothing typed stays as it is. */
export function fillDown(
  list: readonly DocRow[],
  rows: readonly number[],
  columns: readonly DocColumn[],
): DocRow[] {
  const [top, ...below] = rows,
    source = top === undefined ? undefined : list[top];
  if (!source) return [...list];
  return list.map((row, i) => (below.includes(i) ? columns.reduce((r, c) => like(r, source, c), row) : row));
}

function like(row: DocRow, source: DocRow, { key, cell }: DocColumn): DocRow {
  if (cell.type !== 'shown') return setPath(row, key, getPath(source, key));
  const from = cell.paste?.sub(source) ?? null,
    to = cell.paste?.sub(row) ?? null;
  return from === null || to === null ? row : setPath(row, to, getPath(source, from));
}

/** Sum of what is known of a column; null where nothing is. */
export function totalOf(values: readonly CellValue[]): number | null {
  const known = values.filter((v) => typeof v === 'number');
  return known.length > 0 ? known.reduce((s, v) => s + v, 0) : null;
}
