'use client';
/** What a study asks: in which state, over which inputs, and what is shown. */
import { ActionIcon, Button, NativeSelect, Select, TextInput } from '@mantine/core';
import type { Study, SweepAxis } from '@skiametra/core/design';
import { BEST, inputsOf, leverOf, usualRange, type Lever } from '@skiametra/core/trade';
import { IconTrash } from '@tabler/icons-react';
import { useMemo } from 'react';
import { QuantityField } from '../../../parts/fields/QuantityField';
import { quantityGroups } from '../../../parts/quantityList';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { useTrade } from '../useTrade';

const MOST_LISTED = 80;

/** Inputs to choose among; the state that is flown says which come first. */
function useInputs(state: string): { value: string; label: string }[] {
  const document = useWorkspace((w) => w.content.document);
  return useMemo(() => {
    const known = new Map<string, string>();
    for (const l of inputsOf(document, state)) if (!known.has(l.id)) known.set(l.id, l.name);
    return [...known].map(([value, label]) => ({ value, label }));
  }, [document, state]);
}

export function StudyForm({ study }: { study: Study }) {
  const { studies, putStudies } = useTrade(),
    states = useWorkspace((w) => w.content.document.design.states),
    loading = useWorkspace((w) => w.loading),
    flown = study.state === BEST ? loading : study.state,
    inputs = useInputs(flown),
    shown = useMemo(quantityGroups, []);
  const put = (more: Partial<Study>) =>
    putStudies(studies.map((s) => (s.id === study.id ? { ...s, ...more } : s)));
  const putAxis = (i: number, axis: SweepAxis | null) =>
    put({
      axes: axis
        ? [...study.axes.slice(0, i), axis, ...study.axes.slice(i + 1)]
        : study.axes.filter((_, k) => k !== i),
    });
  return (
    <section className="block" aria-label="What is asked">
      <h2>What is asked</h2>
      <div className="line gap8">
        <TextInput
          className="grow"
          label="Name"
          value={study.name}
          onChange={(e) => put({ name: e.currentTarget.value })}
        />
        <ActionIcon
          className="atbottom"
          aria-label="Remove this study"
          onClick={() => putStudies(studies.filter((s) => s.id !== study.id))}
        >
          <IconTrash size={15} />
        </ActionIcon>
      </div>
      <Select
        label="Shown"
        searchable
        allowDeselect={false}
        value={study.show}
        data={shown}
        limit={MOST_LISTED}
        onChange={(show) => show && put({ show })}
      />
      <NativeSelect
        label="Flown as"
        value={study.state}
        data={[
          { value: BEST, label: 'the state that scores most' },
          ...states.map((s) => ({ value: s.id, label: s.name })),
        ]}
        onChange={(e) => put({ state: e.currentTarget.value })}
      />
      {study.axes.map((axis, i) => (
        <AxisFields
          key={i}
          {...{ axis, inputs, flown }}
          title={i === 0 ? 'Across' : 'Up'}
          onAxis={(a) => putAxis(i, a)}
          onRemove={study.axes.length > 1 ? () => putAxis(i, null) : null}
        />
      ))}
      {study.axes.length === 1 && (
        <SecondAxis {...{ inputs, study }} onAxis={(a) => put({ axes: [...study.axes, a] })} />
      )}
    </section>
  );
}

function useAxis(flown: string) {
  const document = useWorkspace((w) => w.content.document);
  return {
    document,
    of: (id: string): SweepAxis | null => {
      const lever = leverOf(document, id);
      if (!lever) return null;
      const { from, to } = usualRange(document, lever, flown);
      return { lever: id, from, to, count: countFor(lever, from, to) };
    },
  };
}

const USUAL_COUNT = 16;
const countFor = (lever: Lever, from: number, to: number) =>
  lever.whole ? Math.min(60, Math.max(2, Math.round(Math.abs(to - from)) + 1)) : USUAL_COUNT;

interface AxisProps {
  axis: SweepAxis;
  title: string;
  inputs: { value: string; label: string }[];
  flown: string;
  onAxis: (a: SweepAxis) => void;
  onRemove: (() => void) | null;
}

function AxisFields({ axis, title, inputs, flown, onAxis, onRemove }: AxisProps) {
  const { document, of } = useAxis(flown),
    lever = leverOf(document, axis.lever);
  const set = (more: Partial<SweepAxis>) => {
    onAxis({ ...axis, ...more });
    return null;
  };
  return (
    <div className="axisfields">
      <div className="line gap8">
        <Select
          className="grow"
          label={title}
          searchable
          allowDeselect={false}
          value={axis.lever}
          data={
            lever ? inputs : [{ value: axis.lever, label: `${axis.lever}: not in this design` }, ...inputs]
          }
          limit={MOST_LISTED}
          onChange={(id) => {
            const next = id && of(id);
            if (next) onAxis(next);
          }}
        />
        {onRemove && (
          <ActionIcon className="atbottom" aria-label={`One direction less: ${title}`} onClick={onRemove}>
            <IconTrash size={15} />
          </ActionIcon>
        )}
      </div>
      {lever && !lever.choices && (
        <div className="axisrange">
          <QuantityField
            label="From"
            value={axis.from}
            kind={lever.kind}
            onCommit={(from) => set({ from })}
          />
          <QuantityField label="To" value={axis.to} kind={lever.kind} onCommit={(to) => set({ to })} />
          <QuantityField
            label="Steps"
            value={axis.count}
            kind="count"
            onCommit={(n) => (n >= 2 && n <= 60 ? set({ count: Math.round(n) }) : 'From 2 to 60 steps.')}
          />
        </div>
      )}
    </div>
  );
}

interface SecondProps {
  inputs: { value: string; label: string }[];
  study: Study;
  onAxis: (a: SweepAxis) => void;
}

function SecondAxis({ inputs, study, onAxis }: SecondProps) {
  const { of } = useAxis(study.state),
    next = inputs.find((i) => i.value !== study.axes[0]?.lever);
  const made = next && of(next.value);
  if (!made) return null;
  return (
    <Button variant="subtle" mt={6} onClick={() => onAxis(made)}>
      A second direction
    </Button>
  );
}
