'use client';
/** A list of the document as its table changes it: each paste, filling and reordering is one step back. */
import { useState } from 'react';
import { getPath, withoutMarks } from '@skiametra/core/design';
import { readTabbed } from '@skiametra/formats';
import { knownComma } from '../CommaQuestion';
import { useWorkspace, useWorkspaceStore } from '../workspace/useWorkspace';
import { fillDown, placePasted, type Block, type CellAt, type PasteInto } from './block';
import type { DocColumn, DocRow } from './columns';
import type { Grid } from './useGrid';

const TOO_MUCH = 'That is more than a table of an aircraft holds. Nothing was pasted.';
const NONE: DocRow[] = [];

export function useDocList(path: string, columns: readonly DocColumn[], newRow: (() => unknown) | undefined) {
  const rows = (useWorkspace((w) => getPath(w.content, path)) as DocRow[] | undefined) ?? NONE;
  const store = useWorkspaceStore();
  const units = useWorkspace((w) => w.units);
  const person = useWorkspace((w) => w.person.id);
  const [said, say] = useState<string | null>(null);

  /** The list as it is now: what is half typed in a cell is taken, or refused, before anything is laid over it. */
  const listNow = () => {
    (document.activeElement as HTMLElement | null)?.blur();
    return (getPath(store.getState().content, path) as DocRow[] | undefined) ?? NONE;
  };
  /** @returns whether the list was taken */
  const lay = (list: DocRow[], undone: string) => {
    const refused = store.getState().edit({ type: 'apply', changes: [{ path, value: list }] });
    say(refused && `${withoutMarks(refused)} ${undone}`);
    return !refused;
  };
  const seen = (grid: Grid<DocRow>, from: number, to?: number) => {
    const keys = grid.columns.slice(from, to).map((c) => c.key);
    return keys.flatMap((key) => columns.find((c) => c.key === key) ?? []);
  };
  const paste = (text: string, at: CellAt, grid: Grid<DocRow>): boolean => {
    if (!/[\t\n]/.test(text.trim())) return false;
    const lines = readTabbed(text);
    if (!lines) say(TOO_MUCH);
    else {
      const into: PasteInto = {
        path,
        list: listNow(),
        rows: grid.rows.slice(at.row).map((r) => r.index),
        columns: seen(grid, at.column),
        every: columns,
        newRow,
        units,
        comma: knownComma(person),
      };
      const pasted = placePasted(lines, into);
      if (pasted.status === 'refused') say(pasted.message);
      else if (lay(pasted.list, 'Nothing was pasted.') && pasted.leftOut.length > 0)
        say(`Left out, the table has no such column: ${pasted.leftOut.join(', ')}.`);
    }
    return true;
  };
  const fill = ({ from, to }: Block, grid: Grid<DocRow>) => {
    const places = grid.rows.slice(from.row, to.row + 1).map((r) => r.index);
    lay(fillDown(listNow(), places, seen(grid, from.column, to.column + 1)), 'Nothing was filled down.');
  };
  const order = (places: number[]) => {
    const list = listNow();
    const reordered = places.map((i) => list[i]).filter((row) => row !== undefined);
    lay(reordered, 'The order stays.');
  };
  return { rows, said, say, paste, fill, order };
}
