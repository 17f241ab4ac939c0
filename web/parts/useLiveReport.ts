'use client';
/** A report that follows the ledger: asked for after every assessment, the old one stays shown meanwhile. */
import { useEffect, useRef, useState } from 'react';
import type { Ledger } from '@skiametra/core/assess';
import type { DesignDocument } from '@skiametra/core/design';
import { useWorkspace } from './workspace/useWorkspace';

/** @param key what else the report depends on */
export function useLiveReport<T>(
  key: string,
  ask: (at: { document: DesignDocument; ledger: Ledger; loading: string }) => Promise<T>,
): { report: T | null; busy: boolean; trouble: string | null } {
  const ledger = useWorkspace((w) => w.ledger);
  const document = useWorkspace((w) => w.content.document);
  const loading = useWorkspace((w) => w.loading);
  const [report, setReport] = useState<T | null>(null);
  const [shown, setShown] = useState<unknown>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const latest = useRef({ document, ask });
  useEffect(() => {
    latest.current = { document, ask };
  });
  useEffect(() => {
    // numbers shown ahead of their uncertainties are followed by the full ledger at once
    if (!ledger || ledger.stopped || ledger.quick) return;
    let here = true;
    latest.current.ask({ document: latest.current.document, ledger, loading }).then(
      (r) => {
        if (here) {
          setReport(r);
          setShown(ledger);
          setTrouble(null);
        }
      },
      (e: Error) => {
        if (here) setTrouble(e.message);
      },
    );
    return () => {
      here = false;
    };
  }, [ledger, loading, key]);
  return { report, busy: shown !== ledger, trouble };
}
