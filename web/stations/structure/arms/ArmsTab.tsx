'use client';
/** What bears at its end: rotor arms, tail booms, legs, mounts; what loads each, how far it bends, how often it is borne. */
import { NativeSelect, UnstyledButton } from '@mantine/core';
import { useState } from 'react';
import type { Arm } from '@skiametra/core/design';
import { formatQuantity } from '@skiametra/core/units';
import { say } from '@skiametra/core/words';
import type { ArmVerdict } from '@skiametra/core/structure';
import { DocField } from '../../../parts/fields/DocField';
import { STRUCTURE } from '../../../parts/paths';
import { useSentence } from '../../../parts/Sentence';
import { DocTable, freshId, type DocColumn } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { KINDS } from '../members/memberKinds';
import { PieceFields } from '../members/PieceFields';

const LOADED: Readonly<Record<Arm['kind'], string>> = {
  arm: 'rotor arm',
  boom: 'tail boom',
  leg: 'landing leg',
  mount: 'mount',
};
const SAYS: Readonly<Record<Arm['kind'], string>> = {
  arm: 'Bears the full thrust of one lift rotor, in the states that hover.',
  boom: 'Bears its tail with the elevator thrown at the fastest: lift coefficient 0.6, common practice.',
  leg: 'Takes the fall from a height by bending: the stiffer it is, the harder the blow.',
  mount: 'Bears what hangs on it at the load factor asked.',
};
/** Skins need a section to stand around. */
const PLAIN = KINDS.filter((k) => !['nose', 'sandwich', 'print', 'sheet'].includes(k.value));

function useColumns(
  verdicts: readonly ArmVerdict[],
  safety: number,
  chosen: string | undefined,
  choose: (id: string) => void,
): DocColumn[] {
  const units = useWorkspace((w) => w.units),
    of = (row: { id?: unknown }) => verdicts.find((a) => a.id === row.id);
  return [
    { key: 'name', label: 'What', cell: { type: 'text' } },
    {
      key: 'kind',
      label: 'Is a',
      width: 110,
      cell: { type: 'choice', options: Object.entries(LOADED).map(([value, label]) => ({ value, label })) },
    },
    { key: 'count', label: 'Of them', width: 60, cell: { type: 'quantity' } },
    { key: 'length', label: 'Long', width: 70, cell: { type: 'quantity' } },
    {
      key: 'verdict',
      label: 'At its end',
      width: 158,
      cell: {
        type: 'shown',
        render: (row) => {
          const a = of(row);
          if (!a) return <span className="dim">not loaded in this state</span>;
          return (
            <span className={a.factor < safety ? 'stoptext' : ''}>
              {a.factor < safety ? '✕ ' : ''}
              {formatQuantity(a.load, 'force', units)}, borne {a.factor.toFixed(2)} times, bends{' '}
              {formatQuantity(a.droop, 'length', units)}
            </span>
          );
        },
        value: (row) => of(row)?.factor ?? null,
      },
    },
    {
      key: 'more',
      label: '',
      width: 60,
      cell: {
        type: 'shown',
        render: (row) => (
          <UnstyledButton
            className="sorter"
            aria-pressed={row.id === chosen}
            onClick={() => choose(String(row.id))}
          >
            sizes{row.id === chosen ? ' ◂' : ''}
          </UnstyledButton>
        ),
      },
    },
  ];
}

/** What of one arm does not stand in the table. */
function ArmDetails({ arm, verdicts }: { arm: Arm; verdicts: readonly ArmVerdict[] }) {
  const at = `${STRUCTURE}.arms.${arm.id}`,
    words = useSentence(),
    edit = useWorkspace((w) => w.edit),
    surfaces = useWorkspace((w) => w.content.document.design.surfaces),
    found = verdicts.find((a) => a.id === arm.id);
  return (
    <section className="block" aria-label={arm.name}>
      <h2>{arm.name}</h2>
      <p className="dim below4">{SAYS[arm.kind]}</p>
      <div className="stack gap8">
        {arm.kind === 'boom' && (
          <NativeSelect
            label="Bears the"
            value={arm.surface ?? ''}
            data={[
              { value: '', label: 'choose …' },
              ...surfaces.filter((s) => s.role !== 'wing').map((s) => ({ value: s.id, label: s.name })),
            ]}
            onChange={(e) =>
              edit({ type: 'set', path: `${at}.surface`, value: e.currentTarget.value || undefined })
            }
          />
        )}
        {arm.kind === 'leg' && <DocField path={`${at}.drop`} optional />}
        {arm.kind === 'mount' && <DocField path={`${at}.hangs`} optional />}
        <PieceFields at={at} ends={['at its root', 'at its end']} kinds={PLAIN} />
        {found?.first && (
          <p className="note flush">
            {words(say('fails-first', { ...found.first, member: found.name, of: null }))}
          </p>
        )}
      </div>
    </section>
  );
}

export function ArmsTab({ verdicts }: { verdicts: readonly ArmVerdict[] }) {
  const arms = useWorkspace((w) => w.content.document.design.structure.arms) ?? [],
    safety = useWorkspace((w) => w.content.document.design.structure.safetyFactor),
    [id, setId] = useState<string | null>(null),
    arm = arms.find((a) => a.id === id) ?? arms[0],
    columns = useColumns(verdicts, safety, arm?.id, setId);
  return (
    <div className="cols cols-members">
      <section className="block">
        <h2>Arms, booms, legs, mounts</h2>
        {arms.length === 0 && (
          <p className="dim">
            Nothing is drawn. A rotor’s arm, a tail boom, a leg or a motor mount is told how far it bends and
            what it stands.
          </p>
        )}
        <DocTable
          path={`${STRUCTURE}.arms`}
          caption="Arms and legs"
          addLabel="Add one"
          newRow={() => ({
            id: freshId('arm', arms),
            name: 'Tail boom',
            kind: 'boom',
            length: 0.4,
            count: 1,
            shape: KINDS[0]!.begin,
          })}
          columns={columns}
        />
      </section>
      {arm && <ArmDetails arm={arm} verdicts={verdicts} />}
    </div>
  );
}
