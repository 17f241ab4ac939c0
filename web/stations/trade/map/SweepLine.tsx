'use client';
/** One input: what is shown along it, where it can be flown, and what blocks the rest. */
import { Button } from '@mantine/core';
import { ChartFrame } from '../../../parts/ChartFrame';
import { ShownTable, type ShownColumn } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { leverValue, shownKind, shownName } from './shown';
import { stretchesOf } from './stretches';
import type { Found } from './useSweep';

interface Props {
  found: Found;
  chosen: number | null;
  onChoose: (index: number) => void;
}

export function SweepLine({ found, chosen, onChoose }: Props) {
  const { task, cells, study } = found,
    axis = task.axes[0]!,
    name = shownName(study.show, task.doc),
    known = axis.values.flatMap((x, i) => {
      const y = cells[i]?.show[study.show];
      return y == null ? [] : [{ x, y, i }];
    });
  const at = chosen === null ? undefined : known.find((k) => k.i === chosen);
  if (axis.lever.choices) return <ChoiceTable {...{ found, chosen, onChoose }} />;
  return (
    <>
      <ChartFrame
        title={`${name} over ${axis.lever.name.toLowerCase()}`}
        height={360}
        xName={axis.lever.name}
        xKind={axis.lever.kind}
        yName={name}
        yKind={shownKind(study.show)}
        at={
          at ? { x: at.x, y: at.y, name: chosen === found.best ? 'best that can be flown' : 'chosen' } : null
        }
        stretches={stretchesOf(found)}
        series={[
          {
            name,
            x: known.map((k) => k.x),
            y: known.map((k) => k.y),
            look: 'predicted',
            ...(axis.lever.whole ? { joined: true } : {}),
          },
        ]}
      />
      <ChoiceTable {...{ found, chosen, onChoose }} />
    </>
  );
}

interface Row {
  readonly i: number;
  readonly value: string;
  readonly shown: number | null;
  readonly blocked: string;
}

/** Cells as rows: what a chart cannot say of choices. */
function ChoiceTable({ found, chosen, onChoose }: Props) {
  const units = useWorkspace((w) => w.units),
    { task, cells, study, names } = found,
    axis = task.axes[0]!;
  const rows = axis.values.map((v, i): Row => {
    const c = cells[i];
    return {
      i,
      value: leverValue(axis.lever, v, units),
      shown: c?.show[study.show] ?? null,
      blocked: c ? (c.stopped ?? c.blocked.map((b) => names[b] ?? b).join(', ')) : '…',
    };
  });
  const columns: ShownColumn<Row>[] = [
    {
      key: 'value',
      label: axis.lever.name,
      fixed: true,
      value: (r) => axis.values[r.i]!,
      render: (r) => r.value,
    },
    {
      key: 'shown',
      label: shownName(study.show, task.doc),
      kind: shownKind(study.show),
      value: (r) => r.shown,
    },
    {
      key: 'blocked',
      label: 'What blocks it',
      value: (r) => r.blocked,
      render: (r) => <span className="stoptext small">{r.blocked}</span>,
    },
    {
      key: 'look',
      label: 'Cell',
      render: (r) => (
        <Button
          size="compact-xs"
          variant={r.i === chosen ? 'filled' : 'subtle'}
          onClick={() => onChoose(r.i)}
        >
          Look
        </Button>
      ),
    },
  ];
  return (
    <ShownTable
      name="Cells of the study"
      rows={rows}
      rowKey={(r) => String(r.i)}
      rowClass={(r) => (r.i === chosen ? 'chosen' : undefined)}
      columns={columns}
    />
  );
}
