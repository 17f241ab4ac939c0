'use client';
/** What a person has made of a table: columns put away, widths drawn, the order of rows. Kept in this browser. */
import { useLocalStorage } from '@mantine/hooks';
import type { ColumnSizingState, SortingState, VisibilityState } from '@tanstack/react-table';

export interface Remembered {
  readonly hidden: VisibilityState;
  readonly widths: ColumnSizingState;
  readonly sorting: SortingState;
}

const USUAL: Remembered = { hidden: {}, widths: {}, sorting: [] };

/** What another version of the program has kept may have any form. */
function read(kept: string | undefined): Remembered {
  try {
    const value = JSON.parse(kept ?? 'null') as Partial<Remembered> | null;
    return value && typeof value === 'object' ? { ...USUAL, ...value } : USUAL;
  } catch {
    return USUAL;
  }
}

/** @param name of the table, the same on every version and project */
export function useRemembered(name: string): [Remembered, (change: Partial<Remembered>) => void] {
  const [kept, keep] = useLocalStorage<Remembered>({
    key: `skiametra.table.${name}`,
    defaultValue: USUAL,
    deserialize: read,
  });
  return [kept, (change) => keep({ ...kept, ...change })];
}

/** Whether anything of a table is not as it comes. */
export function isUsual({ hidden, widths, sorting }: Remembered): boolean {
  const away = Object.values(hidden).some((seen) => !seen);
  return !away && Object.keys(widths).length === 0 && sorting.length === 0;
}

export { USUAL };
