'use client';
/** The eight numbers this project cares most about, always in sight. */
import { Glossed } from '../glossary/Glossed';
import { ActionIcon, UnstyledButton } from '@mantine/core';
import { useDisclosure } from '@mantine/hooks';
import { IconListDetails } from '@tabler/icons-react';
import { MarkedNumber } from '../marks/MarkedNumber';
import { saysSomething } from '../marks/marks';
import { ThreeMark } from '../marks/ThreeMark';
import { useMarks } from '../marks/useMarks';
import { useWorkspace } from '../workspace/useWorkspace';
import { StripChooser } from './StripChooser';

export function LedgerStrip() {
  const watch = useWorkspace((w) => w.content.document.brief.watch);
  const busy = useWorkspace((w) => w.ledger === null || w.polarWork !== null);
  const [choosing, { open, close }] = useDisclosure(false);
  return (
    <section className="strip" aria-label="Ledger strip" aria-busy={busy}>
      <div className="cells">
        {watch.map((k) => (
          <Cell key={k} watched={k} />
        ))}
        {watch.length === 0 && <p className="dim">Choose up to eight numbers to keep in sight.</p>}
      </div>
      <ActionIcon
        className="choose"
        onClick={open}
        aria-label="Choose the numbers of the strip"
        title="Choose the numbers of the strip"
      >
        <IconListDetails size={16} aria-hidden="true" />
      </ActionIcon>
      <PolarWork />
      <StripChooser opened={choosing} onClose={close} />
    </section>
  );
}

/** Sections that are computed before the numbers can follow. */
function PolarWork() {
  const work = useWorkspace((w) => w.polarWork);
  if (!work) return null;
  return (
    <div className="stripwork" role="status">
      <span>
        Computing sections: {work.done} of {work.total} polars; the numbers follow.
      </span>
      <progress value={work.done} max={work.total} aria-label="Section polars computed" />
    </div>
  );
}

function Cell({ watched }: { watched: string }) {
  const [id = '', state = ''] = watched.split('@');
  const units = useWorkspace((w) => w.units);
  const setWhy = useWorkspace((w) => w.setWhy);
  const waiting = useWorkspace((w) => w.ledger === null);
  const inView = useWorkspace((w) => w.loading);
  const states = useWorkspace((w) => w.content.document.design.states);
  const marked = useMarks(id, state);
  if (!marked) return <div className="cell dim">{id}: no number is called so.</div>;
  const { def, marks, broken } = marked,
    where = states.find((l) => l.id === state);
  return (
    <UnstyledButton className="cell" onClick={() => setWhy({ id, state })} data-watch={watched}>
      <span className="label">
        <Glossed text={def.name} />
      </span>
      <MarkedNumber of={marks.predicted} kind={def.kind} units={units} broken={broken} waiting={waiting} />
      {saysSomething(marks) && <ThreeMark name={def.name} marks={marks} kind={def.kind} units={units} />}
      {where && where.id !== inView && <span className="chip">{where.name}</span>}
    </UnstyledButton>
  );
}
