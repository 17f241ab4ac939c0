'use client';
/** What hangs on rotors, of the state that is looked at; null where nothing lifts. */
import type { RotorReport } from '@skiametra/core/views';
import { hasWing } from '@skiametra/core/design';
import { reportRotors } from '../../workers/coreClient';
import { useLiveReport } from '../useLiveReport';
import { useWorkspace } from '../workspace/useWorkspace';

export function useRotors(): { report: RotorReport | null; trouble: string | null } {
  return useLiveReport('rotors', reportRotors);
}

/** Whether the aircraft has a wing: without one no station speaks of it. */
export function useWinged(): boolean {
  return useWorkspace((w) => hasWing(w.content.document.design));
}
