'use client';
import { useMemo } from 'react';
import { entryNamed, quantityDef, type Ledger, type QuantityDef } from '@skiametra/core/assess';
import type { Brief } from '@skiametra/core/design';
import { measuredOf, useWorkspace } from '../workspace/useWorkspace';
import { scalesOf, type Marks, type Scale } from './marks';

type Place = Pick<Brief['requirements'][number], 'part' | 'leg' | 'case'>;

/** What the brief asks of a quantity in a state; the narrowest of several requirements. @param at mission, leg or case */
export function askedOf(brief: Brief, id: string, state: string, at: Place = {}): Marks['asked'] {
  const rs = brief.requirements.filter(
    (r) =>
      r.quantity === id &&
      r.part === at.part &&
      r.leg === at.leg &&
      r.case === at.case &&
      (r.state === state || r.state === 'all' || state === 'all'),
  );
  if (rs.length === 0) return null;
  const mins = rs.flatMap((r) => (r.op !== 'atMost' && r.min !== null ? [r.min] : []));
  const maxs = rs.flatMap((r) => (r.op !== 'atLeast' && r.max !== null ? [r.max] : []));
  return { min: mins.length ? Math.max(...mins) : null, max: maxs.length ? Math.min(...maxs) : null };
}

/** A quantity in a state, with everything that is known of it. */
export interface Marked {
  readonly id: string;
  readonly state: string;
  readonly def: QuantityDef;
  readonly marks: Marks;
  /** the prediction lies outside what is asked */ readonly broken: boolean;
}

type Known = Pick<ReturnType<typeof useKnownMarks>, 'content' | 'versionId' | 'ledger' | 'against'>;

function useKnownMarks() {
  const content = useWorkspace((w) => w.content),
    ledger = useWorkspace((w) => w.ledger),
    against = useWorkspace((w) => w.againstLedger),
    versionId = useWorkspace((w) => w.versionId);
  return { content, ledger, against, versionId };
}

function isBroken(asked: Marks['asked'], value: number | undefined): boolean {
  if (value === undefined || asked === null) return false;
  return (asked.min !== null && value < asked.min) || (asked.max !== null && value > asked.max);
}

/** The quantity in every state that has it. */
function overStates(ledger: Ledger | null, states: readonly { id: string }[], def: QuantityDef): number[] {
  if (!ledger || def.scope === 'all') return [];
  return states.flatMap((l) => entryNamed(ledger, def.id, l.id)?.value ?? []);
}

function markedOf(known: Known, id: string, state: string): Marked | null {
  const { content, ledger, against, versionId } = known,
    { brief, design } = content.document,
    def = quantityDef(id);
  if (!def) return null;
  const entry = ledger ? entryNamed(ledger, id, state) : undefined,
    asked = askedOf(brief, id, state);
  return {
    id,
    state,
    def,
    broken: isBroken(asked, entry?.value),
    marks: {
      asked,
      predicted: entry ? { value: entry.value, sigma: entry.sigma } : null,
      measured: measuredOf({ content, versionId, ledger }, id, state),
      ghost: against ? (entryNamed(against, id, state)?.value ?? null) : null,
      states: overStates(ledger, design.states, def),
    },
  };
}

/** Asked, predicted, measured and the compared version's value of one quantity; null where none is called so. */
export function useMarks(id: string, state: string): Marked | null {
  const known = useKnownMarks(),
    { content, ledger, against, versionId } = known;
  return useMemo(
    () => markedOf({ content, ledger, against, versionId }, id, state),
    [content, ledger, against, versionId, id, state],
  );
}

/** Several that stand together: those of one kind share a scale. */
export function useGroup(ids: readonly string[], state: string): { marked: Marked; scale: Scale }[] {
  const { content, ledger, against, versionId } = useKnownMarks(),
    list = ids.join(' ');
  return useMemo(() => {
    const all = list
      .split(' ')
      .flatMap((id) => markedOf({ content, ledger, against, versionId }, id, state) ?? []);
    return all.flatMap((marked) => {
      const alike = all.filter((m) => m.def.kind === marked.def.kind),
        scale = scalesOf(alike.map((m) => m.marks))[alike.indexOf(marked)];
      return scale ? [{ marked, scale }] : [];
    });
  }, [list, content, ledger, against, versionId, state]);
}
