'use client';
/** Readings of the stand while a run goes on. */
import type { BenchBody } from '@skiametra/core/design';
import { fittedNow } from '@skiametra/core/trial';
import { useWorkspaceStore } from '../../../parts/workspace/useWorkspace';
import { askCore } from '../../../workers/coreClient';

/** A change of the readings as they stand when it is made. @returns a sentence when it is refused */
export type Take = (change: (now: BenchBody) => BenchBody) => Promise<string | null>;

/**
 * Changes readings and what follows from them, as one undo step that touches nothing else of the test: a run takes half a
 * minute, and what was typed meanwhile stands.
 */
export function useTake(id: string): Take {
  const store = useWorkspaceStore();
  return async (change) => {
    for (;;) {
      const { document, tests } = store.getState().content;
      const { bench: now, record } = tests.find((t) => t.id === id)!.body;
      const asked = change(now!);
      const fresh = now!.runs.length === 0 || asked.propeller !== now!.propeller || !asked.fitted;
      const bench = fresh ? { ...asked, fitted: fittedNow(document.design, asked.propeller) } : asked;
      const { temperature } = record;
      const { measurements } = await askCore<'bench'>({ task: 'bench', document, bench, temperature });
      const then = store.getState().content.tests.find((t) => t.id === id)!.body;
      // changed while it was reduced: once more, from what stands there now
      if (then.bench !== now) continue;
      const P = `tests.${id}.body`;
      return store.getState().edit({
        type: 'apply',
        changes: [
          { path: `${P}.bench`, value: bench },
          { path: `${P}.measurements`, value: measurements },
        ],
      });
    }
  };
}
