'use client';
/** Names that a formula may use, to be searched: what each is, its present value, its unit. A click puts one in. */
import { Button, Popover, ScrollArea, TextInput, UnstyledButton } from '@mantine/core';
import { entriesByKey, namesOf, quantityDef } from '@skiametra/core/assess';
import { formatQuantity } from '@skiametra/core/units';
import { useState } from 'react';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { FUNCTION_WORDS } from './functionWords';

/** Shown of what is found. */
const MOST = 60;

interface Name {
  readonly name: string;
  readonly what: string;
  readonly value: string;
}

/** Names that are no quantity. */
const OF_COURSE: Readonly<Record<string, string>> = {
  window: 'time window of the course',
  timedLaps: 'laps of the course that are timed',
};

/** Every name with its words and its value in the state that flies the task; one's own figures of the field first. */
function useNames(state: string): readonly Name[] {
  const brief = useWorkspace((w) => w.content.document.brief),
    states = useWorkspace((w) => w.content.document.design.states),
    ledger = useWorkspace((w) => w.ledger),
    units = useWorkspace((w) => w.units);
  const { table, meant } = namesOf(brief, states),
    index = ledger && entriesByKey(ledger);
  const listed = Object.entries(table).map(([name, kind]) => {
    const keys = meant.get(name)?.keys(state) ?? [`${name}@${state}`, `${name}@all`],
      entry = keys.map((k) => index?.get(k)).find(Boolean),
      rival = brief.rivals.find((r) => r.name === name);
    const value = entry?.value ?? rival?.likely;
    return {
      name,
      what:
        meant.get(name)?.what ??
        quantityDef(name)?.name ??
        (rival ? 'best of the field' : (OF_COURSE[name] ?? '')),
      value: value === undefined ? '' : formatQuantity(value, kind ?? 'ratio', units),
      own: rival !== undefined,
    };
  });
  return [...listed.filter((n) => n.own), ...listed.filter((n) => !n.own)];
}

const matches = (n: Name, words: readonly string[]) =>
  words.every((w) => `${n.name} ${n.what}`.toLowerCase().includes(w));

interface Props {
  /** state that flies the task */ state: string;
  onPick: (name: string) => void;
}

export function FormulaNames(props: Props) {
  return (
    <Popover width={440} position="bottom-end" withinPortal trapFocus>
      <Popover.Target>
        <Button variant="subtle" size="compact-xs">
          Names
        </Button>
      </Popover.Target>
      <Popover.Dropdown>
        <List {...props} />
      </Popover.Dropdown>
    </Popover>
  );
}

/** Made when it is opened. */
function List({ state, onPick }: Props) {
  const [text, setText] = useState(''),
    names = useNames(state);
  const words = text.toLowerCase().split(/\s+/).filter(Boolean),
    made = FUNCTION_WORDS.map((f): Name => ({ ...f, value: '' })),
    found = (words.length > 0 ? [...made, ...names] : names).filter((n) => matches(n, words));
  return (
    <>
      <TextInput
        aria-label="Search names"
        placeholder="Search: laps, relay, mass …"
        value={text}
        onChange={(e) => setText(e.currentTarget.value)}
        data-autofocus
      />
      {words.length === 0 && (
        <div className="line gap8 wraps around8" role="group" aria-label="Made with">
          {FUNCTION_WORDS.map((f) => (
            <Button
              key={f.name}
              size="compact-xs"
              variant="default"
              title={f.what}
              onClick={() => onPick(f.name)}
            >
              {f.name}…)
            </Button>
          ))}
        </div>
      )}
      <ScrollArea.Autosize mah={260} className="after">
        {found.slice(0, MOST).map((n) => (
          <UnstyledButton key={n.name} className="formulaname" onClick={() => onPick(n.name)}>
            <span className="num">{n.name}</span>
            <span className="dim">{n.what}</span>
            <span className="num">{n.value}</span>
          </UnstyledButton>
        ))}
        {found.length === 0 && <p className="dim note">No name has these letters.</p>}
        {found.length > MOST && <p className="dim note">{found.length - MOST} more: type on.</p>}
      </ScrollArea.Autosize>
    </>
  );
}
