'use client';
/** What the wing and the arms bear in the state that is looked at, remade after every assessment. */
import type { ArmVerdict } from '@skiametra/core/structure';
import type { StructureReport } from '@skiametra/core/views';
import { useLiveReport } from '../../parts/useLiveReport';
import { reportStructure } from '../../workers/coreClient';

const NONE: readonly ArmVerdict[] = [];

export function useStructure(): {
  report: StructureReport | null;
  arms: readonly ArmVerdict[];
  trouble: string | null;
} {
  const { report, trouble } = useLiveReport('structure', ({ document, loading }) =>
    reportStructure({ document, loading }),
  );
  return { report: report?.wing ?? null, arms: report?.arms ?? NONE, trouble };
}
