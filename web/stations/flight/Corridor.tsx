'use client';
/** From rotors to wing: between which speeds, and what a change takes. */
import { curveOf, entryOf, type Ledger } from '@skiametra/core/assess';
import { formatQuantity } from '@skiametra/core/units';
import { Readings } from '../../parts/marks/Reading';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

export function Corridor({ ledger }: { ledger: Ledger }) {
  const loading = useWorkspace((w) => w.loading),
    units = useWorkspace((w) => w.units);
  const power = curveOf(ledger, 'corridorPower', loading),
    from = entryOf(ledger, 'changeSpeed', loading)?.value,
    top = entryOf(ledger, 'topSpeed', loading)?.value;
  if (!power || from === undefined) return null;
  const held = power.x.flatMap((_, i) => (Number.isFinite(power.y[i]!) ? [i] : [])),
    gap = held.length > 1 && held.at(-1)! - held[0]! + 1 > held.length;
  return (
    <section aria-label="From rotors to wing" className="block">
      <h2>From rotors to wing</h2>
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
