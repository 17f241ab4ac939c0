'use client';
/** The walk over a study's cells: what was found, how far it is, and who wins with every limit held against it. */
import type { DesignDocument, Study } from '@skiametra/core/design';
import { limitNames, sweepOrder, studyTask, type Cell, type SweepTask } from '@skiametra/core/trade';
import { useRef, useState } from 'react';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { Stopped, type Progress } from '../../../workers/lanes';
import { sweepOver, winnerOf } from '../../../workers/studyClient';

export interface Found {
  readonly task: SweepTask;
  readonly study: Study;
  readonly cells: readonly (Cell | null)[];
  readonly best: number | null;
  readonly names: Readonly<Record<string, string>>;
  readonly done: boolean;
}

/** Kept while the page is open: leaving the station does not lose a map. */
const kept = new Map<string, Found>();

const sameStudy = (a: Study, b: Study) =>
  a === b || JSON.stringify([a.axes, a.state, a.show]) === JSON.stringify([b.axes, b.state, b.show]);

export function useSweep(study: Study | null) {
  const document = useWorkspace((w) => w.content.document),
    versionId = useWorkspace((w) => w.versionId),
    key = `${versionId} ${study?.id}`;
  const [, redraw] = useState(0);
  const [progress, setProgress] = useState<(Progress & { key: string }) | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const running = useRef<AbortController | null>(null);
  const show = (of: string, found: Found) => {
    kept.set(of, found);
    redraw((n) => n + 1);
  };
  const run = async () => {
    if (!study) return;
    const read = studyTask(document, study);
    if (read.status === 'error') return setTrouble(read.message);
    setTrouble(null);
    const end = new AbortController();
    running.current = end;
    try {
      await walk(
        read.task,
        study,
        document,
        end.signal,
        (found) => show(key, found),
        (p) => setProgress({ ...p, key }),
      );
    } catch (e) {
      if (!(e instanceof Stopped)) setTrouble(e instanceof Error ? e.message : String(e));
    }
    setProgress(null);
  };
  const found = kept.get(key) ?? null;
  return {
    found,
    stale:
      found !== null && study !== null && (found.task.doc !== document || !sameStudy(found.study, study)),
    progress: progress?.key === key ? progress : null,
    trouble,
    run,
    stop: () => running.current?.abort(),
  };
}
export type Sweep = ReturnType<typeof useSweep>;

async function walk(
  task: SweepTask,
  study: Study,
  document: DesignDocument,
  signal: AbortSignal,
  show: (f: Found) => void,
  onProgress: (p: Progress) => void,
): Promise<void> {
  const order = sweepOrder(task),
    total = order.length,
    cells: (Cell | null)[] = new Array<Cell | null>(total).fill(null),
    names = limitNames(task);
  const found = (more: Partial<Found> = {}): Found => ({
    ...{ task, study, names },
    cells: [...cells],
    best: null,
    done: false,
    ...more,
  });
  onProgress({ done: 0, total });
  await sweepOver(
    { document, study },
    order,
    (list, indices, p) => {
      list.forEach((c, i) => (cells[indices[i]!] = c));
      onProgress(p);
      show(found());
    },
    signal,
  );
  const won = await winnerOf({ document, study, cells });
  show(found({ cells: won.cells, best: won.best, done: true }));
}
