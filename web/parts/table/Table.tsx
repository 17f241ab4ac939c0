'use client';
/**
 * The one table: sorted by its headings, columns chosen and drawn wide, blocks copied with headings and units, rows dragged
 * where their order matters, rows as cards where there is no room. What its cells do is its owner's: `DocTable` for a list of
 * the document, `ShownTable` for what is computed.
 */
import { type ClipboardEvent, type ReactNode } from 'react';
import type { Block, CellAt } from './block';
import type { GridColumn } from './columns';
import { OrderedRows } from './OrderedRows';
import { cellAt } from './cells';
import { TableHead } from './TableHead';
import { TableMenu } from './TableMenu';
import { TableRow } from './TableRow';
import { useBlock } from './useBlock';
import { useGrid, type Grid } from './useGrid';

export interface TableProps<R> {
  name: string;
  columns: readonly GridColumn<R>[];
  rows: readonly R[];
  rowKey: (row: R, index: number) => string;
  rowClass?: ((row: R, index: number) => string | undefined) | undefined;
  /** in the last, narrow column */ tail?: ((row: R, index: number) => ReactNode) | undefined;
  /** text pasted at a cell; false where it is the cell's own affair */ onPaste?:
    ((text: string, at: CellAt, grid: Grid<R>) => boolean) | undefined;
  onFill?: ((block: Block, grid: Grid<R>) => void) | undefined;
  /** takes places of the list in their new order */ onOrder?: ((order: number[]) => void) | undefined;
  className?: string | undefined;
}

export function Table<R>(props: TableProps<R>) {
  const { name, columns, rows, onPaste, onFill, onOrder } = props;
  const grid = useGrid(name, columns, rows);
  const fill = onFill && ((block: Block) => onFill(block, grid));
  const { block, handlers } = useBlock(grid, fill);
  const paste = (e: ClipboardEvent<HTMLTableElement>) => {
    const at = cellAt(e.target);
    if (at && onPaste?.(e.clipboardData.getData('text/plain'), at, grid)) e.preventDefault();
  };
  const ordered = onOrder !== undefined && grid.remembered.sorting.length === 0;
  const tail = props.tail !== undefined;
  const body = grid.rows.map(({ row, index }, at) => (
    <TableRow
      key={props.rowKey(row, index)}
      {...{ row, index, at, grid, block, ordered }}
      id={props.rowKey(row, index)}
      className={props.rowClass?.(row, index)}
      tail={props.tail}
    />
  ));
  const ids = grid.rows.map(({ row, index }) => props.rowKey(row, index));
  return (
    <div className="tableframe">
      <TableMenu name={name} grid={grid} block={block} onFill={fill} />
      <div className={columns.length < CARD_COLUMNS ? 'scrollx' : 'scrollx cards'}>
        <table
          className={`sheet ${props.className ?? 'fixed'}`}
          aria-label={name}
          style={props.className === 'free' ? undefined : { minWidth: widthOf(grid) }}
          {...handlers}
          onPaste={paste}
        >
          <TableHead grid={grid} grip={ordered} tail={tail} />
          <tbody>{ordered ? <OrderedRows {...{ ids, onOrder }}>{body}</OrderedRows> : body}</tbody>
          <Foot grid={grid} grip={ordered} tail={tail} />
        </table>
      </div>
    </div>
  );
}

/** Least room of a column that takes what is left [px]: a name is still read. */
const NAME_WIDTH = 96;
const NARROW_WIDTH = 26;
/** Columns from which on a row is a card where there is no room. */
const CARD_COLUMNS = 4;

/** Columns never squeeze each other: where they have no room together the table scrolls. */
function widthOf<R>({ columns, remembered }: Grid<R>): number {
  const asked = columns.map((c) => remembered.widths[c.key] ?? c.width ?? NAME_WIDTH);
  return asked.reduce((s, w) => s + w, NARROW_WIDTH);
}

function Foot<R>({ grid, grip, tail }: { grid: Grid<R>; grip: boolean; tail: boolean }) {
  if (grid.columns.every((c) => c.foot === undefined)) return null;
  return (
    <tfoot>
      <tr className="sum">
        {grip && <td className="grip" />}
        {grid.columns.map((c) => (
          <td key={c.key} className={c.numeric ? 'num' : undefined}>
            {c.foot}
          </td>
        ))}
        {tail && <td className="tail" />}
      </tr>
    </tfoot>
  );
}
