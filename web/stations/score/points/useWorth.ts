'use client';
/** The worth list of the state in view: asked for after every full assessment, the newest only. */
import type { DesignDocument } from '@skiametra/core/design';
import { useEffect, useState } from 'react';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { newestOnly } from '../../../workers/lanes';
import type { Answers } from '../../../workers/jobs';
import { worthOf } from '../../../workers/studyClient';

interface Asked {
  readonly document: DesignDocument;
  readonly state: string;
  done(answer: Answers['worth'] | string): void;
}

/** One list runs at a time; of those that wait the newest follows. */
const ask = newestOnly<Asked>(async ({ document, state, done }) => {
  try {
    done(await worthOf(document, state));
  } catch (e) {
    done(e instanceof Error ? e.message : String(e));
  }
});

export function useWorth() {
  const ledger = useWorkspace((w) => w.ledger),
    document = useWorkspace((w) => w.content.document),
    state = useWorkspace((w) => w.loading),
    [found, setFound] = useState<{ answer: Answers['worth']; of: unknown; state: string } | null>(null),
    [trouble, setTrouble] = useState<string | null>(null);
  useEffect(() => {
    if (!ledger || ledger.stopped || ledger.quick) return;
    let here = true;
    ask({
      document,
      state,
      done: (answer) => {
        if (!here) return;
        setTrouble(typeof answer === 'string' ? answer : null);
        if (typeof answer !== 'string') setFound({ answer, of: document, state });
      },
    });
    return () => {
      here = false;
    };
    // the ledger follows the document: one list for each full one
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [ledger, state]);
  const own = found?.state === state ? found : null;
  return {
    worth: own?.answer.worth ?? null,
    limits: own?.answer.limits ?? null,
    busy: own?.of !== document,
    trouble,
  };
}
