'use client';
/** What is sold, ranked by mass for the place of one member: the lightest that bears what is asked. */
import { Button, SegmentedControl } from '@mantine/core';
import { useEffect, useState } from 'react';
import type { Member } from '@skiametra/core/design';
import type { Ranked, SoldKind } from '@skiametra/core/structure';
import { formatQuantity } from '@skiametra/core/units';
import type { SoldReport } from '@skiametra/core/views';
import { STRUCTURE } from '../../../parts/paths';
import { ShownTable, type ShownColumn } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { askCore } from '../../../workers/coreClient';
import { CellSelect } from '../../../parts/fields/CellSelect';

const KINDS: { value: SoldKind; label: string }[] = [
  { value: 'tube', label: 'Tubes' },
  { value: 'rod', label: 'Rods and wires' },
  { value: 'strip', label: 'Strips' },
  { value: 'square tube', label: 'Square tubes' },
  { value: 'built', label: 'Built of strips' },
];

/** Asked for again when the design or the question changes; the old answer stays meanwhile. */
function useSold(member: string | undefined, kind: SoldKind) {
  const document = useWorkspace((w) => w.content.document),
    [answer, setAnswer] = useState<SoldReport | null>(null),
    [trouble, setTrouble] = useState<string | null>(null);
  useEffect(() => {
    if (!member) return;
    let here = true;
    askCore<'sold'>({ task: 'sold', document, member, kind }).then(
      (a) => {
        if (!here) return;
        setAnswer(a);
        setTrouble(null);
      },
      (e: Error) => here && setTrouble(e.message),
    );
    return () => {
      here = false;
    };
  }, [document, member, kind]);
  return { answer, trouble };
}

const does = (r: Ranked) => r.fits && r.factor >= 1;

/** Another shape in the place of the member: its tapers and steps go. */
function useTake(member: Member | undefined) {
  const edit = useWorkspace((w) => w.edit);
  return (r: Ranked) => {
    if (!member) return;
    const at = `${STRUCTURE}.members.${member.id}`;
    edit({
      type: 'apply',
      changes: [
        { path: `${at}.shape`, value: r.shape },
        { path: `${at}.tip`, value: r.tipHeight === null ? undefined : { height: r.tipHeight } },
        { path: `${at}.steps`, value: undefined },
      ],
    });
  };
}

function useColumns(answer: SoldReport | null, take: (r: Ranked) => void): ShownColumn<Ranked>[] {
  const score = answer?.perGram ?? null;
  return [
    { key: 'label', label: 'Sold as [mm]', value: (r) => r.label, fixed: true },
    { key: 'mass', label: 'Weighs', kind: 'mass', width: 90, value: (r) => r.mass },
    {
      key: 'more',
      label: 'Against now',
      kind: 'mass',
      width: 100,
      value: (r) => r.mass - (answer?.mass ?? 0),
    },
    ...(score === null
      ? []
      : [
          {
            key: 'points',
            label: 'Points',
            kind: 'points' as const,
            width: 74,
            hint: 'What its grams change in the best score, all else the same',
            value: (r: Ranked) => 1000 * (r.mass - (answer?.mass ?? 0)) * score,
          },
        ]),
    { key: 'EI', label: 'Stiffness', kind: 'bendingStiffness', width: 96, value: (r) => r.EI },
    {
      key: 'factor',
      label: 'Of what is asked',
      numeric: true,
      width: 110,
      value: (r) => Number(r.factor.toFixed(2)),
      render: (r) => (
        <span className={does(r) ? '' : 'stoptext'}>
          {does(r) ? '' : '✕ '}
          {r.fits ? `${r.factor.toFixed(2)} times` : 'does not fit'}
        </span>
      ),
    },
    {
      key: 'take',
      label: '',
      width: 76,
      render: (r) => (
        <Button size="compact-xs" variant="light" onClick={() => take(r)} aria-label={`Take it: ${r.label}`}>
          Take it
        </Button>
      ),
    },
  ];
}

export function SoldTab() {
  const members = useWorkspace((w) => w.content.document.design.structure.members),
    units = useWorkspace((w) => w.units),
    [id, setId] = useState<string | null>(null),
    [kind, setKind] = useState<SoldKind>('tube'),
    member = members.find((m) => m.id === id) ?? members[0],
    { answer, trouble } = useSold(member?.id, kind),
    take = useTake(member),
    columns = useColumns(answer, take);
  if (!member) return <p className="dim">Add a member first: what is sold is ranked for its place.</p>;
  const best = answer?.rows.find(does),
    present = answer && answer.kind === kind;
  return (
    <div className="stack gap8">
      <div className="line gap8 mid wraps">
        <SegmentedControl
          value={kind}
          onChange={(v) => setKind(v)}
          data={KINDS}
          aria-label="Kind that is sold"
        />
        {members.length > 1 && (
          <CellSelect
            label="In the place of"
            value={member.id}
            options={members.map((m) => ({ value: m.id, label: `for ${m.name}` }))}
            onChange={setId}
          />
        )}
      </div>
      {trouble && (
        <p className="stoptext" role="alert">
          {trouble}
        </p>
      )}
      {present && (
        <p className="flush">
          {best ? (
            <>
              The lightest of {answer.tried} that bears every case: <b>{best.label}</b>,{' '}
              {formatQuantity(best.mass, 'mass', units)} for both halves.
            </>
          ) : (
            <>None of {answer.tried} fits and bears every case. Those that come nearest:</>
          )}
        </p>
      )}
      {present ? (
        <ShownTable
          name="What is sold"
          columns={columns}
          rows={answer.rows.slice(0, 14)}
          rowKey={(r) => r.label}
        />
      ) : (
        <p className="dim">…</p>
      )}
      <p className="dim note flush">
        Generic sizes; common practice, no source. Loads of the present mass. Weigh and bend what you buy.
      </p>
    </div>
  );
}
