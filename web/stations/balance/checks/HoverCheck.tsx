'use client';
/** Whether the rotors carry it, and how evenly. */
import type { LayoutReport } from '@skiametra/core/views';
import { ShownTable, type ShownColumn } from '../../../parts/table';
import { deg, pct } from '../saidAs';
import { useMillimetres } from './useMillimetres';

type Hover = NonNullable<LayoutReport['hover']>;
type Rotor = Hover['rotors'][number];

/** Share of its largest thrust from which on a rotor has too little left to steer with: common practice. */
const STEERING_ROOM = 0.75;

export function HoverCheck({ hover: h }: { hover: Hover }) {
  const mm = useMillimetres();
  return (
    <section className="block">
      <h2>Hover</h2>
      <div>
        Thrust to weight <b className="num">{h.thrustToWeight.toFixed(2)}</b> ({roomOf(h.thrustToWeight)});
        the CG lies {mm(Math.abs(h.offsetX))} {h.offsetX > 0 ? 'behind' : 'ahead of'} the rotors’ middle and
        may lie from {mm(h.from)} to {mm(h.to)}; it can lean {deg(h.lean, 0)} and still carry itself.
      </div>
      <ShownTable name="Rotors in hover" rows={h.rotors} rowKey={(r) => r.id} columns={COLUMNS} />
    </section>
  );
}

function roomOf(thrustToWeight: number): string {
  if (thrustToWeight >= 2) return 'above 2: room to climb and steer';
  if (thrustToWeight >= 1.5) return 'between 1.5 and 2: the least for gentle work';
  return 'below 1.5: too little';
}

const COLUMNS: ShownColumn<Rotor>[] = [
  { key: 'name', label: 'Rotor', fixed: true, value: (r) => r.name },
  { key: 'thrust', label: 'Thrust', kind: 'force', value: (r) => r.thrust },
  { key: 'share', label: 'Share of the weight', kind: 'percent', value: (r) => r.share },
  {
    key: 'load',
    label: 'Of its largest thrust',
    kind: 'percent',
    value: (r) => r.load,
    render: (r) => <span className={r.load > STEERING_ROOM ? 'stoptext' : undefined}>{pct(r.load, 0)}</span>,
  },
];
