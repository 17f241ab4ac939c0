/** Finding and entering the cells of a table on the page. */
import type { KeyboardEvent } from 'react';
import type { CellAt } from './block';

const ENTRIES = 'input:not([type=hidden]), select, textarea, button, a[href]';

/** The cell that an element lies in; null outside of the body of a table. */
export function cellAt(target: EventTarget | null): CellAt | null {
  const td = target instanceof Element ? target.closest<HTMLElement>('td[data-cell]') : null;
  const [row, column] = td?.dataset.cell?.split(' ').map(Number) ?? [];
  return row === undefined || column === undefined ? null : { row, column };
}

/** Puts the focus on what can be entered in a cell, else on the cell itself. */
export function focusCell(table: HTMLElement, { row, column }: CellAt): void {
  const td = table.querySelector<HTMLElement>(`td[data-cell="${row} ${column}"]`);
  const entry = td?.querySelector<HTMLElement>(ENTRIES) ?? td;
  entry?.focus();
}

/** Where a key leads from a cell; null where it belongs to what is typed in. @param block whether one is in hand */
export function arrowOf(e: KeyboardEvent, block: boolean): CellAt | null {
  if (e.altKey || e.ctrlKey || e.metaKey) return null;
  const el = e.target as HTMLElement;
  const isList = el.tagName === 'SELECT' || el.getAttribute('aria-haspopup') === 'listbox';
  if (e.key === 'ArrowDown' || e.key === 'ArrowUp')
    return isList ? null : { row: e.key === 'ArrowDown' ? 1 : -1, column: 0 };
  // Enter presses a button and ticks a box
  if (e.key === 'Enter') return isText(el) && !e.shiftKey ? { row: 1, column: 0 } : null;
  if (e.key !== 'ArrowLeft' && e.key !== 'ArrowRight') return null;
  const right = e.key === 'ArrowRight';
  const leaves = e.shiftKey ? block : atEdge(el, right);
  return leaves ? { row: 0, column: right ? 1 : -1 } : null;
}

const isText = (el: HTMLElement): el is HTMLInputElement =>
  el instanceof HTMLInputElement && el.type !== 'checkbox' && el.type !== 'radio';

/** Whether the caret can go no further that way, or all of the text is picked as it is on entering a cell. */
function atEdge(el: HTMLElement, right: boolean): boolean {
  if (!isText(el)) return true;
  const { selectionStart: from, selectionEnd: to, value } = el;
  if (from === 0 && to === value.length) return true;
  return from === to && (right ? from === value.length : from === 0);
}
