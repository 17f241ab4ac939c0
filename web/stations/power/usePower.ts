'use client';
import type { PowerReport } from '@skiametra/core/views';
import { useLiveReport } from '../../parts/useLiveReport';
import { reportPower } from '../../workers/coreClient';

/** The drive of the state that is looked at. */
export function usePower(): { report: PowerReport | null; busy: boolean; trouble: string | null } {
  return useLiveReport('power', reportPower);
}
