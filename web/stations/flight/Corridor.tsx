'use client';
/** From rotors to wing: power and the wing's share over speed, and from where the wing carries alone. */
import { curveOf, entryOf, type Ledger } from '@skiametra/core/assess';
import { formatQuantity } from '@skiametra/core/units';
import { ChartFrame } from '../../parts/ChartFrame';
import { Readings } from '../../parts/marks/Reading';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

export function Corridor({ ledger }: { ledger: Ledger }) {
  const loading = useWorkspace((w) => w.loading),
    units = useWorkspace((w) => w.units);
  const power = curveOf(ledger, 'corridorPower', loading),
    wing = curveOf(ledger, 'corridorWing', loading),
    from = entryOf(ledger, 'changeSpeed', loading)?.value,
    top = entryOf(ledger, 'topSpeed', loading)?.value;
  if (!power || !wing || from === undefined) return null;
  const held = power.x.flatMap((_, i) => (Number.isFinite(power.y[i]!) ? [i] : [])),
    most = Math.max(...held.map((i) => power.y[i]!)),
    of = (list: readonly number[]) => held.map((i) => list[i]!);
  const gap = held.length > 1 && held.at(-1)! - held[0]! + 1 > held.length;
  return (
    <section aria-label="From rotors to wing">
      <ChartFrame
        title="From rotors to wing"
        height={220}
        xName="Airspeed"
        xKind="speed"
        yName="Power from the pack"
        yKind="power"
        yFromZero
        series={[
          { name: 'wing to its margin, rotors the rest', x: of(power.x), y: of(power.y), look: 'predicted' },
          { name: 'the wing carries alone from here', x: [from, from], y: [0, most], look: 'asked' },
          {
            name: 'share of the wing, of the axis’ height',
            x: wing.x,
            y: wing.y.map((s) => s * most),
            look: 'ghost',
          },
        ]}
      />
      <p className="flush">
        Change over between {formatQuantity(from, 'speed', units)} and{' '}
        {top === undefined || top <= from ? 'top speed' : formatQuantity(top, 'speed', units)}: there the wing
        carries with its margin and the rotors may stop.{' '}
        {gap && (
          <b>Between some speeds below, level flight is not held: go through them climbing or not at all.</b>
        )}
      </p>
      <Readings title="A change" ids={['changeSpeed', 'changeTime', 'changeEnergy', 'slowChangeEnergy']} />
    </section>
  );
}
