'use client';
/** Points of every state, task by task, and what blocks them. */
import { UnstyledButton } from '@mantine/core';
import { entryOf, type Ledger } from '@skiametra/core/assess';
import type { Design } from '@skiametra/core/design';
import { formatNumber } from '@skiametra/core/units';
import { ShownTable, type ShownColumn } from '../../parts/table';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

type State = Design['states'][number];

interface Props {
  ledger: Ledger;
  states: readonly State[];
  best: string | undefined;
  /** why a state does not count; undefined where it does */ because: (state: string) => string | undefined;
}

export function StateScores({ ledger, states, best, because }: Props) {
  const tasks = useWorkspace((w) => w.content.document.brief.tasks);
  const loading = useWorkspace((w) => w.loading);
  const setLoading = useWorkspace((w) => w.setLoading);
  const setWhy = useWorkspace((w) => w.setWhy);
  const columns: ShownColumn<State>[] = [
    {
      key: 'name',
      label: 'State',
      fixed: true,
      value: (s) => s.name,
      render: (s) => (
        <UnstyledButton className="sorter" onClick={() => setLoading(s.id)}>
          {s.name}
          {s.id === best ? ' ◆' : ''}
        </UnstyledButton>
      ),
    },
    ...tasks.map((m): ShownColumn<State> => ({
      key: m.id,
      label: m.name,
      kind: 'points',
      value: (s) => entryOf(ledger, 'points', s.id, m.id)?.value ?? 0,
    })),
    {
      key: 'score',
      label: 'Score',
      kind: 'points',
      value: (s) => entryOf(ledger, 'score', s.id)?.value ?? 0,
      render: (s) => (
        <UnstyledButton className="textbutton dotted" onClick={() => setWhy({ id: 'score', state: s.id })}>
          {formatNumber(entryOf(ledger, 'score', s.id)?.value ?? 0, 4)}
        </UnstyledButton>
      ),
    },
    {
      key: 'strip',
      label: 'Leaves the strip',
      kind: 'percent',
      value: (s) => entryOf(ledger, 'stripChance', s.id)?.value ?? null,
    },
    {
      key: 'blocks',
      label: 'What blocks it',
      value: (s) => because(s.id) ?? null,
      render: (s) => <span className="stoptext small">{because(s.id)}</span>,
    },
  ];
  return (
    <ShownTable
      name="Score by state"
      rows={states}
      rowKey={(s) => s.id}
      rowClass={(s) => (s.id === loading ? 'chosen' : undefined)}
      columns={columns}
    />
  );
}
