'use client';
/** What the wing bears in the state that is looked at, remade after every assessment. */
import type { StructureReport } from '@skiametra/core/views';
import { useLiveReport } from '../../parts/useLiveReport';
import { reportStructure } from '../../workers/coreClient';

export function useStructure(): {
  report: StructureReport | null;
  busy: boolean;
  trouble: string | null;
} {
  return useLiveReport('structure', ({ document, loading }) => reportStructure({ document, loading }));
}
