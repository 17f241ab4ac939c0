'use client';
/** Tables and studies of the document; made when the first is. */
import type { DecisionTable, Study, Trade } from '@skiametra/core/design';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

const PATH = 'document.trade';
const NOTHING: Trade = { tables: [], studies: [] };

export function useTrade() {
  const trade = useWorkspace((w) => w.content.document.trade) ?? NOTHING,
    edit = useWorkspace((w) => w.edit);
  const put = (next: Trade) => edit({ type: 'set', path: PATH, value: next });
  return {
    ...trade,
    putStudies: (studies: Study[]) => put({ ...trade, studies }),
    putTables: (tables: DecisionTable[]) => put({ ...trade, tables }),
  };
}
