'use client';
/** The layout report of the state that is looked at, remade after every assessment; the old one stays shown meanwhile. */
import { useEffect, useRef, useState } from 'react';
import type { LayoutReport } from '@skiametra/core/assess';
import { reportLayout } from '../../workers/coreClient';
import { useWorkspace } from '../workspace/useWorkspace';

export type StallKind = 'level' | 'sideslip' | 'rolling' | 'turn';

export function useLayout(stall: StallKind = 'level'): { report: LayoutReport | null; busy: boolean; trouble: string | null } {
  const ledger = useWorkspace((w) => w.ledger);
  const document = useWorkspace((w) => w.content.document);
  const loading = useWorkspace((w) => w.loading);
  const [report, setReport] = useState<LayoutReport | null>(null);
  const [shown, setShown] = useState<unknown>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const latest = useRef(document);
  useEffect(() => { latest.current = document; }, [document]);
  useEffect(() => {
    // numbers shown ahead of their uncertainties are followed by the full ledger at once
    if (!ledger || ledger.stopped || ledger.quick) return;
    let here = true;
    reportLayout({ document: latest.current, ledger, loading, stall })
      .then((r) => { if (here) { setReport(r); setShown(ledger); setTrouble(null); } }, (e: Error) => { if (here) setTrouble(e.message); });
    return () => { here = false; };
  }, [ledger, loading, stall]);
  return { report, busy: shown !== ledger, trouble };
}
