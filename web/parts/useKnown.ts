'use client';
/** What is known of the open version at this moment, for marks and sentences that must not run ahead of it. */
import { useMemo } from 'react';
import type { Known } from './frame/stationMarks';
import { useWorkspace } from './workspace/useWorkspace';

export function useKnown(): Known {
  const ledger = useWorkspace((w) => w.ledger);
  const document = useWorkspace((w) => w.content.document);
  const flown = useWorkspace((w) =>
    w.content.tests.some((t) => t.versionId === w.versionId && t.body.record.flown),
  );
  return useMemo(() => ({ ledger, document, flown }), [ledger, document, flown]);
}
