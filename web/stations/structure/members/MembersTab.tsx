'use client';
/** Members of the wing in a table, the chosen one in detail beside it. */
import { UnstyledButton } from '@mantine/core';
import { useState } from 'react';
import { DEFAULT_CHORD_PLACE, type Member } from '@skiametra/core/design';
import { formatQuantity } from '@skiametra/core/units';
import type { StructureReport } from '@skiametra/core/views';
import { StationFindings } from '../../../parts/Findings';
import { STRUCTURE } from '../../../parts/paths';
import { DocTable, freshId, type DocColumn } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { kindOf, KINDS } from './memberKinds';
import { MemberDetails } from './MemberDetails';

function useColumns(
  report: StructureReport | null,
  chosen: string | undefined,
  choose: (id: string) => void,
): DocColumn[] {
  const units = useWorkspace((w) => w.units),
    surfaces = useWorkspace((w) => w.content.document.design.surfaces);
  const massOf = (row: { id?: unknown }) => report?.members.find((m) => m.id === row.id)?.mass ?? null;
  return [
    { key: 'name', label: 'Member', cell: { type: 'text' } },
    {
      key: 'shape',
      label: 'Kind',
      width: 92,
      cell: {
        type: 'shown',
        render: (row) => (
          <UnstyledButton
            className="sorter"
            aria-pressed={row.id === chosen}
            onClick={() => choose(String(row.id))}
          >
            {kindOf((row as unknown as Member).shape.kind).label}
            {row.id === chosen ? ' ◂' : ''}
          </UnstyledButton>
        ),
        value: (row) => kindOf((row as unknown as Member).shape.kind).label,
      },
    },
    {
      key: 'surface',
      label: 'In',
      width: 66,
      cell: {
        type: 'choice',
        options: surfaces.filter((s) => s.role !== 'fin').map((s) => ({ value: s.id, label: s.name })),
      },
    },
    { key: 'chordPlace', label: 'Chord', width: 54, cell: { type: 'quantity' } },
    { key: 'from', label: 'From', width: 54, cell: { type: 'quantity', optional: true } },
    { key: 'to', label: 'To', width: 54, cell: { type: 'quantity', optional: true } },
    {
      key: 'mass',
      label: 'Weighs',
      width: 76,
      numeric: true,
      cell: {
        type: 'shown',
        render: (row) => {
          const mass = massOf(row);
          return mass === null ? '–' : formatQuantity(mass, 'mass', units);
        },
        value: massOf,
      },
    },
  ];
}

export function MembersTab({ report }: { report: StructureReport | null }) {
  const members = useWorkspace((w) => w.content.document.design.structure.members),
    wing = useWorkspace((w) => w.content.document.design.surfaces.find((x) => x.role === 'wing')!.id),
    [id, setId] = useState<string | null>(null),
    member = members.find((m) => m.id === id) ?? members[0];
  const columns = useColumns(report, member?.id, setId);
  return (
    <div className="cols cols-members">
      <div className="stack">
        <StationFindings of="structure" />
        <section className="block">
          <h2>Members</h2>
          <p className="dim below4">
            They share the load by their stiffness. A sleeve or a doubler is a member that reaches only so
            far: give it “to”.
          </p>
          <DocTable
            path={`${STRUCTURE}.members`}
            caption="Members"
            addLabel="Add a member"
            newRow={() => ({
              id: freshId('member', members),
              name: members.length === 0 ? 'Wing spar' : 'Sleeve',
              surface: wing,
              chordPlace: members[0]?.chordPlace ?? DEFAULT_CHORD_PLACE,
              shape: KINDS[0]!.begin,
              ...(members.length > 0 ? { to: 0.2 } : {}),
            })}
            columns={columns}
          />
          {members.length === 0 && (
            <p className="dim">Nothing is drawn yet: add the spar, and see at how many g it breaks.</p>
          )}
        </section>
      </div>
      {member && <MemberDetails member={member} />}
    </div>
  );
}
