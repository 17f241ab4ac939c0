'use client';
/** Studies over one or two inputs: what is asked at the left, the picture, and the cell that is looked at. */
import { Button, Progress } from '@mantine/core';
import { useState } from 'react';
import { freshId } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { useTrade } from '../useTrade';
import { CellPanel } from './CellPanel';
import { StudyForm } from './StudyForm';
import { StudyList } from './StudyList';
import { SweepLine } from './SweepLine';
import { SweepMap } from './SweepMap';
import { firstStudy } from './firstStudy';
import { useSweep, type Found, type Sweep } from './useSweep';

export function MapTab() {
  const { studies, putStudies } = useTrade(),
    document = useWorkspace((w) => w.content.document),
    state = useWorkspace((w) => w.loading),
    [chosenId, choose] = useState<string | null>(null);
  const study = studies.find((s) => s.id === chosenId) ?? studies[0] ?? null,
    sweep = useSweep(study);
  const begin = () => {
    const made = firstStudy(document, state, freshId('study', studies));
    putStudies([...studies, made]);
    choose(made.id);
  };
  if (!study)
    return (
      <section className="block stack">
        <h2>Map</h2>
        <p className="atmost620 flush">
          Nothing is studied yet. A study walks one or two inputs over a range and shows what it comes to,
          with every limit as a line: which cells can be flown, and which of them is best.
        </p>
        <div>
          <Button onClick={begin}>Begin a study</Button>
        </div>
      </section>
    );
  return (
    <div className="station cols-trade">
      <div className="stack">
        <StudyList {...{ studies, chosen: study.id, onChoose: choose, onNew: begin }} />
        <StudyForm study={study} />
        <Walk sweep={sweep} />
      </div>
      <Shown key={study.id} sweep={sweep} />
    </div>
  );
}

function Walk({ sweep }: { sweep: Sweep }) {
  const { progress, trouble, stale, found } = sweep;
  return (
    <div className="stack gap6" aria-live="polite">
      <div className="line gap8">
        <Button onClick={() => void sweep.run()} disabled={progress !== null}>
          {found ? 'Walk it again' : 'Walk it'}
        </Button>
        {progress && (
          <Button variant="default" onClick={sweep.stop}>
            Stop
          </Button>
        )}
      </div>
      {progress && (
        <>
          <Progress value={(100 * progress.done) / Math.max(1, progress.total)} aria-label="Cells walked" />
          <span className="dim small num">
            {progress.done} of {progress.total} cells
          </span>
        </>
      )}
      {stale && !progress && <span className="looktext small">Walked before the last change.</span>}
      {trouble && (
        <span role="alert" className="stoptext">
          {trouble}
        </span>
      )}
    </div>
  );
}

function Shown({ sweep }: { sweep: Sweep }) {
  const [picked, setPicked] = useState<number | null>(null),
    { found } = sweep;
  if (!found)
    return (
      <p className="dim atmost560 flush">
        {sweep.progress
          ? 'The first cells are being computed …'
          : 'Walk it: the map fills as cells are found, and can be stopped.'}
      </p>
    );
  const index = picked ?? found.best,
    cell = index === null ? null : (found.cells[index] ?? null);
  return (
    <>
      <div className="stack">
        <Picture found={found} chosen={index} onChoose={setPicked} />
      </div>
      <CellPanel {...{ found, index, cell }} />
    </>
  );
}

interface PictureProps {
  found: Found;
  chosen: number | null;
  onChoose: (i: number) => void;
}

function Picture({ found, chosen, onChoose }: PictureProps) {
  return found.task.axes.length === 2 ? (
    <SweepMap {...{ found, chosen, onChoose }} />
  ) : (
    <SweepLine {...{ found, chosen, onChoose }} />
  );
}
