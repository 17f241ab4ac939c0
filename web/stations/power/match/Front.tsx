'use client';
/** Combinations that no other beats: drawn, and in a table to be sorted. */
import { Button } from '@mantine/core';
import { useMemo } from 'react';
import { combinationChanges } from '@skiametra/core/mass';
import { paretoRows, type MatchRow, type PartsList } from '@skiametra/core/power';
import { formatQuantity, type KindName } from '@skiametra/core/units';
import { ChartFrame } from '../../../parts/ChartFrame';
import { ShownTable, type ShownColumn } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { named, nameOf } from './names';
import type { ComparedSet } from './useCompared';
import type { Found } from './useMatch';

interface Props {
  found: Found;
  parts: PartsList;
  compared: ComparedSet;
}

export function Front({ found, parts, compared }: Props) {
  const units = useWorkspace((w) => w.units);
  const front = useMemo(() => paretoRows(found.rows), [found]);
  const early = found.done ? '' : ' (stopped early)';
  return (
    <>
      <ChartFrame
        title={`${found.rows.length} stay in; ${front.length} that no other beats${early}`}
        height={230}
        xName="Time aloft"
        xKind="duration"
        yName={`Thrust at ${formatQuantity(found.of.speed, 'speed', units)}`}
        yKind="force"
        series={[
          {
            name: 'not beaten in thrust, time and lightness',
            ...thin(front),
            look: 'predicted',
            marks: true,
          },
          { name: 'stays in', ...thin(found.rows), look: 'ghost', marks: true, small: true },
        ]}
      />
      {found.rows.length === 0 && (
        <p role="status">
          Nothing stays in. The commonest reasons stand at the left: lift the limit that blocks most, or
          change the airframe.
        </p>
      )}
      {front.length > 0 && <FrontTable front={front} parts={parts} compared={compared} />}
    </>
  );
}

const MOST_SHOWN = 120;
const MOST_POINTS = 350;

/** Few enough points to be drawn at once. */
function thin(rows: readonly MatchRow[]): { x: number[]; y: number[] } {
  const step = Math.max(1, Math.ceil(rows.length / MOST_POINTS)),
    kept = rows.filter((_, i) => i % step === 0);
  return { x: kept.map((r) => r.time), y: kept.map((r) => r.thrustAtSpeed) };
}

type FrontProps = Omit<Props, 'found'> & { front: MatchRow[] };

function FrontTable({ front, parts, compared }: FrontProps) {
  const design = useWorkspace((w) => w.content.document.design);
  const rows = useMemo(
    () => [...front].sort((a, b) => b.levelSpeed - a.levelSpeed).slice(0, MOST_SHOWN),
    [front],
  );
  const columns: ShownColumn<MatchRow>[] = [
    ...partColumns(parts),
    ...FIGURES.map(({ key, label, kind }) => ({
      key,
      label,
      kind,
      value: (r: MatchRow) => r[key] as number,
    })),
    {
      key: 'beside',
      label: 'Beside',
      render: (r) => {
        const id = String(r.index),
          on = compared.list.some((c) => c.id === id);
        return (
          <Button
            size="compact-xs"
            variant={on ? 'filled' : 'subtle'}
            aria-pressed={on}
            onClick={() =>
              compared.toggle({
                id,
                name: nameOf(parts, r),
                changes: combinationChanges(design, parts, r),
              })
            }
          >
            Compare
          </Button>
        );
      },
    },
  ];
  return (
    <ShownTable
      name="Combinations that no other beats"
      rows={rows}
      rowKey={(r) => String(r.index)}
      columns={columns}
    />
  );
}

const FIGURES: readonly { key: keyof MatchRow; label: string; kind: KindName }[] = [
  { key: 'levelSpeed', label: 'Level', kind: 'speed' },
  { key: 'thrustAtSpeed', label: 'Thrust', kind: 'force' },
  { key: 'climb', label: 'Climb', kind: 'climbRate' },
  { key: 'run', label: 'Run', kind: 'distance' },
  { key: 'time', label: 'Time', kind: 'duration' },
  { key: 'mass', label: 'All-up', kind: 'allUpMass' },
  { key: 'used', label: 'Limit', kind: 'percent' },
];

function partColumns(parts: PartsList): ShownColumn<MatchRow>[] {
  return [
    { key: 'motor', label: 'Motor', fixed: true, value: (r) => named(parts.motors, r.motor) },
    { key: 'propeller', label: 'Propeller', value: (r) => named(parts.propellers, r.propeller) },
    { key: 'pack', label: 'Pack', value: (r) => named(parts.packs, r.pack) },
    {
      key: 'esc',
      label: 'Controller',
      value: (r) => (r.esc === null ? null : named(parts.escs, String(r.esc))),
    },
  ];
}
