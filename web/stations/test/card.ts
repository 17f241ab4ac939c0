/** A flight test as it is begun and changed. */
import type { Ledger } from '@skiametra/core/assess';
import { emptyRecord, type Brief, type Design, type TestBody } from '@skiametra/core/design';
import { preflightFor, remeasured, stopLine } from '@skiametra/core/trial';
import { say, type Said } from '@skiametra/core/words';
import { useWorkspaceStore } from '../../parts/workspace/useWorkspace';

export const emptyBody = (design: Design, loading: string, temperature: number): TestBody => ({
  card: {
    title: 'New flight',
    question: '',
    oneChange: '',
    expected: '',
    stopWhen: '',
    state: loading,
    overrideReason: '',
  },
  checklist: preflightFor(
    design,
    design.states.find((l) => l.id === loading),
  ).map((c) => ({ ...c, done: false })),
  signedBy: '',
  record: emptyRecord({
    temperature,
  }),
  log: null,
  measurements: [],
});

/** Writes a change to a test as it stands now and brings its measurements up to date, as one undo step. */
export function useTestEdit(id: string) {
  const store = useWorkspaceStore();
  return (patch: Partial<TestBody>): string | null => {
    const { content, edit } = store.getState();
    const { body } = content.tests.find((t) => t.id === id)!;
    const next = { ...body, ...patch },
      measurements = remeasured(body, next);
    return edit({ type: 'set', path: `tests.${id}.body`, value: { ...next, measurements } });
  };
}

/** The stop line; before the first ledger it says that it is not known. */
export function stopsOf(brief: Brief, design: Design, ledger: Ledger | null, loading: string): Said[] {
  return ledger ? stopLine(brief, design, ledger, loading) : [say('stop-computing', {})];
}

export type SetBody = (patch: Partial<TestBody>) => string | null;

/** A card for another state: its checklist is made anew for what that state carries, unless it was flown by the old one. */
export function cardFor(design: Design, body: TestBody, loading: string): Partial<TestBody> {
  const card = { ...body.card, state: loading };
  if (body.record.flown) return { card };
  const state = design.states.find((l) => l.id === loading);
  const done = new Set(body.checklist.filter((c) => c.done).map((c) => c.text));
  const checklist = preflightFor(design, state).map((c) => ({ ...c, done: done.has(c.text) }));
  return { card, checklist, signedBy: '' };
}
