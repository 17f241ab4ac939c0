/** A flight test as it is begun and changed. */
import type { Ledger } from '@skiametra/core/assess';
import { emptyRecord, type Brief, type Design, type TestBody } from '@skiametra/core/design';
import { preflightFor, remeasured, stopLine } from '@skiametra/core/trial';
import { say, type Said } from '@skiametra/core/words';
import { useWorkspace, useWorkspaceStore } from '../../parts/workspace/useWorkspace';

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
function stopsOf(
  brief: Brief,
  design: Design,
  ledger: Ledger | null,
  loading: string,
  tests: readonly TestBody[],
): Said[] {
  return ledger ? stopLine(brief, design, ledger, loading, tests) : [say('stop-computing', {})];
}

/** The stop line of a state of this version, by all that was tested of it. */
export function useStops(state: string): Said[] {
  const { brief, design } = useWorkspace((w) => w.content.document),
    ledger = useWorkspace((w) => w.ledger),
    tests = useWorkspace((w) => w.content.tests),
    versionId = useWorkspace((w) => w.versionId);
  const own = tests.filter((t) => t.versionId === versionId).map((t) => t.body);
  return stopsOf(brief, design, ledger, state, own);
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
