'use client';
import { useMemo } from 'react';
import { entryNamed, quantityDef, type QuantityDef } from '@skiametra/core/assess';
import type { Brief } from '@skiametra/core/design';
import { measuredOf, useWorkspace } from './workspace/useWorkspace';
import type { Marks } from './ThreeMark';

/** What the brief asks of a quantity in a state; the narrowest of several requirements. */
export function askedOf(brief: Brief, id: string, state: string): Marks['asked'] {
  const rs = brief.requirements.filter(
    (r) => r.quantity === id && (r.state === state || r.state === 'all' || state === 'all'),
  );
  if (rs.length === 0) return null;
  const mins = rs.flatMap((r) => (r.op !== 'atMost' && r.min !== null ? [r.min] : []));
  const maxs = rs.flatMap((r) => (r.op !== 'atLeast' && r.max !== null ? [r.max] : []));
  return { min: mins.length ? Math.max(...mins) : null, max: maxs.length ? Math.min(...maxs) : null };
}

/** Asked, predicted, measured and the compared version's value of one quantity. */
export function useMarks(
  id: string,
  state: string,
): { def: QuantityDef | undefined; marks: Marks; broken: boolean } {
  const brief = useWorkspace((w) => w.content.document.brief);
  const ledger = useWorkspace((w) => w.ledger);
  const against = useWorkspace((w) => w.againstLedger);
  const content = useWorkspace((w) => w.content);
  const versionId = useWorkspace((w) => w.versionId);
  return useMemo(() => {
    const entry = ledger ? entryNamed(ledger, id, state) : undefined;
    const asked = askedOf(brief, id, state);
    const measured = measuredOf({ content, versionId, ledger }, id, state);
    const value = entry?.value;
    const broken =
      value !== undefined &&
      asked !== null &&
      ((asked.min !== null && value < asked.min) || (asked.max !== null && value > asked.max));
    return {
      def: quantityDef(id),
      broken,
      marks: {
        asked,
        predicted: entry ? { value: entry.value, sigma: entry.sigma } : null,
        measured,
        ghost: against ? (entryNamed(against, id, state)?.value ?? null) : null,
      },
    };
  }, [brief, ledger, against, content, versionId, id, state]);
}
