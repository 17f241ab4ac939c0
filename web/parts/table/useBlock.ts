'use client';
/** The cell in hand and the block around it: by pointer, by arrow keys, copied and pasted as a whole. */
import { useRef, useState } from 'react';
import type { ClipboardEvent, FocusEvent, KeyboardEvent, PointerEvent } from 'react';
import { writeTabbed } from '@skiametra/formats';
import { blockBetween, cellsOf, heading, type Block, type CellAt } from './block';
import { arrowOf, cellAt, focusCell } from './cells';
import type { Grid } from './useGrid';

/** A block as it goes to the clipboard, its headings with their units first. */
export function blockText<R>({ rows, columns }: Grid<R>, { from, to }: Block): string {
  const taken = columns.slice(from.column, to.column + 1);
  const head = taken.map((c) => heading(c.label, c.unit));
  const body = rows
    .slice(from.row, to.row + 1)
    .map(({ row, index }) => taken.map((c) => c.text?.(row, index) ?? ''));
  return writeTabbed([head, ...body]);
}

export interface BlockInHand {
  readonly block: Block | null;
  readonly clear: () => void;
  readonly handlers: {
    readonly onFocus: (e: FocusEvent<HTMLTableElement>) => void;
    readonly onPointerDown: (e: PointerEvent<HTMLTableElement>) => void;
    readonly onPointerOver: (e: PointerEvent<HTMLTableElement>) => void;
    readonly onKeyDown: (e: KeyboardEvent<HTMLTableElement>) => void;
    readonly onCopy: (e: ClipboardEvent<HTMLTableElement>) => void;
  };
}

export function useBlock<R>(grid: Grid<R>, onFill: ((block: Block) => void) | undefined): BlockInHand {
  const [block, setBlock] = useState<Block | null>(null);
  const anchor = useRef<CellAt | null>(null);
  const head = useRef<CellAt | null>(null);
  const extending = useRef(false);
  const reach = (to: CellAt) => {
    if (!anchor.current) anchor.current = to;
    head.current = to;
    const next = blockBetween(anchor.current, to);
    setBlock(cellsOf(next) > 1 ? next : null);
  };
  const take = (at: CellAt | null) => {
    anchor.current = head.current = at;
    setBlock(null);
  };
  const onPointerDown = (e: PointerEvent<HTMLTableElement>) => {
    const at = cellAt(e.target);
    if (!at || e.button !== 0) return;
    extending.current = e.shiftKey && anchor.current !== null;
    if (!extending.current) return take(at);
    e.preventDefault();
    reach(at);
  };
  /** by Tab, or by a label: the cell that is entered is the one in hand */
  const onFocus = (e: FocusEvent<HTMLTableElement>) => {
    const at = cellAt(e.target),
      from = anchor.current;
    if (extending.current || (at && from && at.row === from.row && at.column === from.column)) return;
    take(at);
  };
  const onPointerOver = (e: PointerEvent<HTMLTableElement>) => {
    const at = cellAt(e.target),
      from = head.current;
    if (e.buttons !== 1 || !at || !from || (at.row === from.row && at.column === from.column)) return;
    window.getSelection()?.removeAllRanges();
    reach(at);
  };
  const onKeyDown = (e: KeyboardEvent<HTMLTableElement>) => {
    const at = cellAt(e.target);
    if (!at) return;
    if (e.key === 'Escape' && block) return take(at);
    if (onFill && (e.ctrlKey || e.metaKey) && e.key.toLowerCase() === 'd') {
      e.preventDefault();
      return onFill(block ?? blockBetween({ row: Math.max(at.row - 1, 0), column: at.column }, at));
    }
    const step = arrowOf(e, block !== null);
    if (!step) return;
    const from = e.shiftKey && head.current ? head.current : at;
    const to = {
      row: Math.min(Math.max(from.row + step.row, 0), grid.rows.length - 1),
      column: Math.min(Math.max(from.column + step.column, 0), grid.columns.length - 1),
    };
    e.preventDefault();
    if (e.shiftKey) {
      anchor.current ??= at;
      return reach(to);
    }
    take(to);
    focusCell(e.currentTarget, to);
  };
  const onCopy = (e: ClipboardEvent<HTMLTableElement>) => {
    if (!block) return;
    e.preventDefault();
    e.clipboardData.setData('text/plain', blockText(grid, block));
  };
  return {
    block,
    clear: () => take(null),
    handlers: { onFocus, onPointerDown, onPointerOver, onKeyDown, onCopy },
  };
}
