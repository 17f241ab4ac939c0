'use client';
/** Combinations by what they score, through the whole assessment: those that no other beats in score, time and mass. */
import { Button } from '@mantine/core';
import { combinationChanges } from '@skiametra/core/mass';
import type { PartsList } from '@skiametra/core/power';
import { frontOf } from '@skiametra/core/trade';
import { useMemo } from 'react';
import { ChartFrame } from '../../../parts/ChartFrame';
import { ShownTable, type ShownColumn } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { nameOf, named } from './names';
import type { ComparedSet } from './useCompared';
import type { ScoredRow } from './useScores';

interface Props {
  scored: readonly ScoredRow[];
  left: number;
  parts: PartsList;
  compared: ComparedSet;
}

type Row = ScoredRow & { alike: number };

/** Those that may be flown; where none may, all, each with what blocks it. */
function frontRows(scored: readonly ScoredRow[]): Row[] {
  const known = scored.filter((s) => s.scored.score !== null),
    free = known.filter((s) => s.scored.blocked.length === 0);
  return frontOf(free.length > 0 ? free : known, (s) => [s.scored.score!, s.row.time, -s.row.mass]).map(
    (f) => ({
      ...f.row,
      alike: f.alike.length,
    }),
  );
}

export function ByScore({ scored, left, parts, compared }: Props) {
  const front = useMemo(() => frontRows(scored), [scored]),
    blocked = front.some((r) => r.scored.blocked.length > 0),
    rest = scored.filter((s) => s.scored.score !== null),
    columns = useColumns(parts, compared);
  if (scored.length === 0) return <p className="dim note">The best go through the whole assessment …</p>;
  return (
    <>
      <ChartFrame
        title={`${front.length} that no other beats in score, time and mass${left > 0 ? `; ${left} still to be scored` : ''}`}
        height={210}
        xName="Time aloft"
        xKind="duration"
        yName="Score"
        yKind="points"
        series={[
          {
            name: 'not beaten',
            x: front.map((r) => r.row.time),
            y: front.map((r) => r.scored.score!),
            look: 'predicted',
            marks: true,
          },
          {
            name: 'scored',
            x: rest.map((r) => r.row.time),
            y: rest.map((r) => r.scored.score!),
            look: 'ghost',
            marks: true,
            small: true,
          },
        ]}
      />
      {blocked && (
        <p className="looktext note">
          None of them can be flown as asked: what blocks each stands in its row.
        </p>
      )}
      <ShownTable
        name="Combinations by score"
        rows={front}
        rowKey={(r) => String(r.row.index)}
        columns={columns}
      />
    </>
  );
}

function useColumns(parts: PartsList, compared: ComparedSet): ShownColumn<Row>[] {
  const design = useWorkspace((w) => w.content.document.design);
  return [
    {
      key: 'beside',
      label: 'Beside',
      fixed: true,
      render: ({ row }) => {
        const id = String(row.index),
          on = compared.list.some((c) => c.id === id);
        return (
          <Button
            size="compact-xs"
            variant={on ? 'filled' : 'subtle'}
            aria-pressed={on}
            onClick={() =>
              compared.toggle({
                id,
                name: nameOf(parts, row),
                changes: combinationChanges(design, parts, row),
              })
            }
          >
            Compare
          </Button>
        );
      },
    },
    { key: 'score', label: 'Score', kind: 'points', value: (r) => r.scored.score },
    { key: 'time', label: 'Time', kind: 'duration', value: (r) => r.row.time },
    { key: 'mass', label: 'All-up', kind: 'allUpMass', value: (r) => r.scored.mass ?? r.row.mass },
    { key: 'motor', label: 'Motor', value: (r) => named(parts.motors, r.row.motor) },
    { key: 'propeller', label: 'Propeller', value: (r) => named(parts.propellers, r.row.propeller) },
    { key: 'pack', label: 'Pack', value: (r) => named(parts.packs, r.row.pack) },
    {
      key: 'alike',
      label: 'As good',
      hint: 'others that come to the same',
      kind: 'count',
      value: (r) => r.alike,
    },
    {
      key: 'blocked',
      label: 'What blocks it',
      value: (r) => r.scored.blocked.join(', '),
      render: (r) => <span className="stoptext small">{r.scored.blocked.join(', ')}</span>,
    },
  ];
}
