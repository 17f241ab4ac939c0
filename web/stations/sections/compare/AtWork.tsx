'use client';
/** Picked sections at the lift the wing works at: cost, room to the stall, moment, and how far the air stays smooth. */
import { flowAtLift, type FlowAtLift } from '@skiametra/core/section';
import { formatNumber, formatQuantity, formatValue } from '@skiametra/core/units';
import { ShownTable, type ShownColumn } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import type { Curve } from './curves';

interface Row {
  readonly name: string;
  readonly flow: FlowAtLift | null;
  readonly builtDrag: number | null;
}

export function AtWork({ curves, lift }: { curves: readonly Curve[]; lift: number }) {
  const rows = curves.map(({ name, polar, built }): Row => ({
    name,
    flow: flowAtLift(polar, lift),
    builtDrag: built && (flowAtLift(built, lift)?.cd ?? null),
  }));
  return (
    <section className="block" aria-label="At the lift it works at">
      <h2>At the lift it works at, {formatNumber(lift, 2)}</h2>
      <ShownTable name="At work" rows={rows} rowKey={(r) => r.name} columns={COLUMNS} />
    </section>
  );
}

const FIGURES: ShownColumn<Row>[] = [
  { key: 'drag', label: 'Drag, cd', kind: 'ratio', value: (r) => r.flow?.cd ?? null },
  { key: 'built', label: 'as it may be built', kind: 'ratio', value: (r) => r.builtDrag },
  { key: 'stall', label: 'Left to the stall', kind: 'angle', value: (r) => r.flow?.toStall ?? null },
  { key: 'moment', label: 'Moment, cm', kind: 'ratio', value: (r) => r.flow?.cm ?? null },
];

const COLUMNS: ShownColumn<Row>[] = [
  {
    key: 'name',
    label: 'Section',
    fixed: true,
    value: (r) => r.name,
    render: (r) => (
      <>
        {r.name}
        {!r.flow && <span className="stoptext"> does not reach that lift</span>}
      </>
    ),
  },
  ...FIGURES,
  {
    key: 'smooth',
    label: 'Smooth from the nose, above and below',
    value: (r) => r.flow?.laminarUpper ?? null,
    render: (r) => r.flow && <Smooth flow={r.flow} />,
  },
];

/** Two lines as long as the faces, drawn firm while the air is smooth. */
function Smooth({ flow }: { flow: FlowAtLift }) {
  const units = useWorkspace((w) => w.units);
  const { laminarUpper: upper, laminarLower: lower } = flow;
  const share = (v: number) => formatQuantity(v, 'chordPercent', units);
  return (
    <span className="smooth" title={`${share(upper)} above, ${share(lower)} below`}>
      <svg viewBox="0 0 100 14" aria-hidden="true" preserveAspectRatio="none">
        {[upper, lower].map((turn, i) => (
          <g key={i} transform={`translate(0 ${3 + 8 * i})`}>
            <line x1={0} x2={100 * turn} className="laminar" />
            <line x1={100 * turn} x2={100} className="rough" />
          </g>
        ))}
      </svg>
      <span className="num">
        {formatValue(upper, 'chordPercent', units)} · {formatValue(lower, 'chordPercent', units)}
      </span>
    </span>
  );
}
