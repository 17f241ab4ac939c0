'use client';
/** Up to four ways of building the wing beside each other; one of them stands as the ghost in the picture. */
import { Button, Radio } from '@mantine/core';
import type { StructureReport } from '@skiametra/core/views';
import { say } from '@skiametra/core/words';
import { STRUCTURE } from '../../../parts/paths';
import { useSentence } from '../../../parts/Sentence';
import { freshId, ShownTable, type ShownColumn } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { useOthers } from './useOthers';

interface Row {
  id: string | null;
  name: string;
  report: StructureReport | null;
}

const MOST = 3;

/** Who fails first in the pull at the stall. */
function useFirst(): (r: StructureReport | null) => string {
  const words = useSentence();
  return (r) => {
    const pull = r?.cases.find((c) => c.id === 'pull');
    if (!pull?.weak) return '–';
    const member = r!.members.find((m) => m.id === pull.weak!.member)?.name ?? pull.weak.member;
    return words(say('fails-first', { ...pull.weak, member, y: pull.place, of: null }));
  };
}

function useEdits() {
  const edit = useWorkspace((w) => w.edit),
    structure = useWorkspace((w) => w.content.document.design.structure),
    others = structure.others ?? [];
  const put = (list: typeof others) =>
    edit({ type: 'set', path: `${STRUCTURE}.others`, value: list.length > 0 ? list : undefined });
  return {
    others,
    keep: () =>
      put([
        ...others,
        {
          id: freshId('way', others),
          name: `Way ${others.length + 1}`,
          members: structure.members,
        },
      ]),
    drop: (id: string) => put(others.filter((o) => o.id !== id)),
    /** what is drawn and the other change places */ take: (id: string) => {
      const other = others.find((o) => o.id === id)!;
      edit({
        type: 'apply',
        changes: [
          { path: `${STRUCTURE}.members`, value: other.members },
          {
            path: `${STRUCTURE}.others`,
            value: others.map((o) => (o.id === id ? { ...o, members: structure.members } : o)),
          },
        ],
      });
    },
  };
}

interface Props {
  report: StructureReport | null;
  ghost: string | null;
  choose: (id: string | null) => void;
}

export function CompareTab({ report, ghost, choose }: Props) {
  const { others, keep, drop, take } = useEdits(),
    reports = useOthers(),
    first = useFirst(),
    rows: Row[] = [
      { id: null, name: 'As drawn', report },
      ...others.map(({ id, name }) => ({ id, name, report: reports.get(id) ?? null })),
    ];
  const columns: ShownColumn<Row>[] = [
    { key: 'name', label: 'Built', value: (r) => r.name, fixed: true, width: 96 },
    { key: 'mass', label: 'Weighs', kind: 'mass', width: 78, value: (r) => r.report?.mass ?? null },
    {
      key: 'up',
      label: 'Breaks',
      kind: 'loadFactor',
      width: 72,
      value: (r) => r.report?.envelope.fails[0] ?? null,
    },
    {
      key: 'down',
      label: 'Downward',
      kind: 'loadFactor',
      width: 84,
      value: (r) => (r.report ? -r.report.envelope.fails[1] : null),
    },
    { key: 'tip', label: 'Tip at 1 g', kind: 'length', width: 84, value: (r) => r.report?.tipAtOne ?? null },
    { key: 'first', label: 'First', value: (r) => first(r.report) },
    {
      key: 'do',
      label: '',
      width: 150,
      render: ({ id, name }) =>
        id === null ? (
          <Radio label="no ghost" checked={ghost === null} onChange={() => choose(null)} />
        ) : (
          <div className="line gap8 mid">
            <Radio
              aria-label={`${name} as the ghost`}
              label="ghost"
              checked={ghost === id}
              onChange={() => choose(id)}
            />
            <Button size="compact-xs" variant="light" onClick={() => take(id)} aria-label={`Take ${name}`}>
              Take
            </Button>
            <Button size="compact-xs" variant="subtle" onClick={() => drop(id)} aria-label={`Drop ${name}`}>
              ✕
            </Button>
          </div>
        ),
    },
  ];
  return (
    <div className="stack gap8">
      <p className="flush dim">
        Keep what is drawn, change it under Members, and see both beside each other. Loads are those of each
        one’s own mass.
      </p>
      <ShownTable
        name="Ways of building the wing"
        columns={columns}
        rows={rows}
        rowKey={(r) => r.id ?? 'drawn'}
      />
      <div>
        <Button variant="light" disabled={others.length >= MOST} onClick={keep}>
          Keep what is drawn to compare
        </Button>
      </div>
    </div>
  );
}
