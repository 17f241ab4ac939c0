'use client';
import { Glossed } from '../glossary/Glossed';
import { UnstyledButton } from '@mantine/core';
import { isWatched } from './watched';
import { MarkedNumber } from './MarkedNumber';
import { saysSomething, type Scale } from './marks';
import { ThreeMark } from './ThreeMark';
import { useGroup, type Marked } from './useMarks';
import { useWorkspace } from '../workspace/useWorkspace';

/** One quantity with its number, and its bar where that says something; opens the why-panel. */
function Reading({ marked: { id, state, def, marks, broken }, scale }: { marked: Marked; scale: Scale }) {
  const units = useWorkspace((w) => w.units);
  const setWhy = useWorkspace((w) => w.setWhy);
  return (
    <UnstyledButton className="reading" onClick={() => setWhy({ id, state })}>
      <span className="top">
        <span className="name">
          <Glossed text={def.name} />
        </span>
        <MarkedNumber of={marks.predicted} kind={def.kind} units={units} broken={broken} />
      </span>
      {saysSomething(marks) && (
        <ThreeMark name={def.name} marks={marks} kind={def.kind} units={units} scale={scale} />
      )}
    </UnstyledButton>
  );
}

/** Quantities of a state under one heading, but for what the strip shows anyway. */
export function Readings({ ids, title, state }: { ids: readonly string[]; title: string; state?: string }) {
  const shown = useWorkspace((w) => w.loading);
  const watch = useWorkspace((w) => w.content.document.brief.watch);
  const at = state ?? shown;
  const known = useWorkspace((w) => w.ledger !== null && !w.ledger.stopped);
  const group = useGroup(
    ids.filter((id) => !isWatched(watch, id, at)),
    at,
  );
  // what the aircraft or the state has not is left out; what is still being found is a dash
  const there = known ? group.filter(({ marked }) => marked.marks.predicted ?? marked.marks.asked) : group;
  if (there.length === 0) return null;
  return (
    <section className="block" aria-label={title}>
      <h2>{title}</h2>
      {there.map(({ marked, scale }) => (
        <Reading key={marked.id} marked={marked} scale={scale} />
      ))}
    </section>
  );
}
