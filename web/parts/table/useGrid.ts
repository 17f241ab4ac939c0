'use client';
/** The headless table: which columns are shown, how wide, and in which order the rows stand. */
import {
  getCoreRowModel,
  useReactTable,
  type ColumnDef,
  type SortingState,
  type Table,
  type Updater,
} from '@tanstack/react-table';
import { useMemo, useRef } from 'react';
import { inOrder, type GridColumn } from './columns';
import { useRemembered, type Remembered } from './useRemembered';

/** A row with its place in the list. */
export interface Placed<R> {
  readonly row: R;
  readonly index: number;
}
export interface Grid<R> {
  readonly table: Table<Placed<R>>;
  /** as displayed */ readonly rows: readonly Placed<R>[];
  /** as displayed */ readonly columns: readonly GridColumn<R>[];
  readonly remembered: Remembered;
  readonly remember: (change: Partial<Remembered>) => void;
}

const MIN_WIDTH = 36;
const then = <T>(next: Updater<T>, now: T): T => (next instanceof Function ? next(now) : next);

/** @param name under which what a person makes of the table is remembered */
export function useGrid<R>(name: string, columns: readonly GridColumn<R>[], rows: readonly R[]): Grid<R> {
  const [remembered, remember] = useRemembered(name);
  const placed = useMemo(() => rows.map((row, index) => ({ row, index })), [rows]);
  const order = useOrder(columns, placed, remembered.sorting);
  const table = useReactTable<Placed<R>>({
    data: placed as Placed<R>[],
    columns: useMemo(() => definitions(columns), [columns]),
    state: {
      columnVisibility: remembered.hidden,
      columnSizing: remembered.widths,
      sorting: remembered.sorting,
    },
    onColumnVisibilityChange: (next) => remember({ hidden: then(next, remembered.hidden) }),
    onColumnSizingChange: (next) => remember({ widths: then(next, remembered.widths) }),
    onSortingChange: (next) => remember({ sorting: then(next, remembered.sorting) }),
    columnResizeMode: 'onChange',
    manualSorting: true,
    getCoreRowModel: getCoreRowModel(),
  });
  const seen = table.getVisibleLeafColumns().map((c) => c.id);
  return {
    table,
    rows: order.flatMap((i) => placed[i] ?? []),
    columns: columns.filter((c) => seen.includes(c.key)),
    remembered,
    remember,
  };
}

function definitions<R>(columns: readonly GridColumn<R>[]): ColumnDef<Placed<R>>[] {
  return columns.map((c) => ({
    id: c.key,
    header: c.label,
    accessorFn: ({ row, index }: Placed<R>) => c.value?.(row, index) ?? null,
    enableSorting: c.value !== undefined,
    enableHiding: !c.fixed,
    sortDescFirst: false,
    minSize: MIN_WIDTH,
    size: c.width ?? 80,
  }));
}

/**
 * Places of the list in the order that the person sorted them into. It is made when sorting is chosen or rows come and go:
 * a row that is being typed into does not jump away.
 */
function useOrder<R>(
  columns: readonly GridColumn<R>[],
  placed: readonly Placed<R>[],
  sorting: SortingState,
): readonly number[] {
  const kept = useRef<{ mark: string; order: readonly number[] }>({ mark: '', order: [] });
  const by = sorting[0];
  const mark = `${by?.id ?? ''} ${by?.desc ?? ''} ${placed.length}`;
  if (kept.current.mark === mark) return kept.current.order;
  const value = columns.find((c) => c.key === by?.id)?.value;
  const order = placed.map((p) => p.index);
  if (by && value) {
    const keys = placed.map(({ row, index }) => value(row, index));
    order.sort((a, b) => inOrder(keys[a] ?? null, keys[b] ?? null, by.desc));
  }
  kept.current = { mark, order };
  return order;
}
