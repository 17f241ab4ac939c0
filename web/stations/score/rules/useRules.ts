'use client';
import type { UnderRules } from '@skiametra/core/assess';
import { useEffect, useState } from 'react';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { underRules } from '../../../workers/studyClient';

/** Scores under every variant, and under the rules of the compared version. */
export function useRules() {
  const ledger = useWorkspace((w) => w.ledger),
    document = useWorkspace((w) => w.content.document),
    againstId = useWorkspace((w) => w.againstId),
    against = useWorkspace((w) => w.versions.find((v) => v.id === w.againstId)?.name),
    documentOf = useWorkspace((w) => w.documentOf),
    [found, setFound] = useState<{ rows: UnderRules[]; of: unknown } | null>(null),
    [trouble, setTrouble] = useState<string | null>(null);
  useEffect(() => {
    if (!ledger || ledger.stopped || ledger.quick) return;
    let here = true;
    const work = async () => {
      const other = againstId === null ? null : await documentOf(againstId);
      return underRules({
        document,
        others: other ? [{ name: `Rules of ${against}`, brief: other.brief }] : [],
      });
    };
    work().then(
      (rows) => {
        if (!here) return;
        setFound({ rows, of: document });
        setTrouble(null);
      },
      (e: Error) => here && setTrouble(e.message),
    );
    return () => {
      here = false;
    };
    // the ledger follows the document
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [ledger, againstId]);
  return { rows: found?.rows ?? null, busy: found?.of !== document, trouble };
}
