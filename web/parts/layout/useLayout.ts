'use client';
/** The layout report of the state that is looked at, remade after every assessment; the old one stays shown meanwhile. */
import type { LayoutReport } from '@skiametra/core/views';
import { reportLayout } from '../../workers/coreClient';
import { useLiveReport } from '../useLiveReport';

export type StallKind = 'level' | 'sideslip' | 'rolling' | 'turn';

export function useLayout(stall: StallKind = 'level'): {
  report: LayoutReport | null;
  busy: boolean;
  trouble: string | null;
} {
  return useLiveReport(stall, (at) => reportLayout({ ...at, stall }));
}
