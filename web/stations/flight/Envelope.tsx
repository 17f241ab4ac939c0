'use client';
/** Speed across, power and climb up: where it lasts longest, goes farthest, and what holds against the wind. */
import { curveOf, entryOf, type Ledger, type QuantityId } from '@skiametra/core/assess';
import { siteGust } from '@skiametra/core/structure';
import { ChartFrame } from '../../parts/ChartFrame';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

type Points = { x: readonly number[]; y: readonly number[]; sigma: readonly number[] | null };

/**
 * Without what is no number: a chart does not reach over what cannot be flown. Of what is never nil, a spread as large as
 * the number is one that could not be found: the last points before that.
 */
function flown(c: Points, neverNil = false): Points {
  const sure = (i: number) => !neverNil || !c.sigma || c.sigma[i]! < Math.abs(c.y[i]!),
    keep = c.y.map((_, i) => i).filter((i) => Number.isFinite(c.y[i]!) && sure(i)),
    of = (list: readonly number[]) => keep.map((i) => list[i]!);
  return { x: of(c.x), y: of(c.y), sigma: c.sigma && of(c.sigma) };
}

export function Envelope({ ledger }: { ledger: Ledger }) {
  const against = useWorkspace((w) => w.againstLedger),
    loading = useWorkspace((w) => w.loading),
    site = useWorkspace((w) => w.content.document.brief.site);
  const power = curveOf(ledger, 'rotorPower', loading),
    climb = curveOf(ledger, 'rotorClimb', loading),
    old = against && curveOf(against, 'rotorPower', loading);
  if (!power || !climb)
    return <p className="dim">No flight on the rotors is computed: nothing lifts it in this state.</p>;
  const at = (id: QuantityId) => entryOf(ledger, id, loading)?.value ?? null,
    p = flown(power, true),
    most = Math.max(...p.y),
    wind = site.wind + siteGust(site);
  const upright = (name: string, x: number | null, look: 'asked' | 'ink' | 'second') =>
    x === null ? [] : [{ name, x: [x, x], y: [0, most], look }];
  return (
    <>
      <ChartFrame
        title="Power against airspeed, level on the rotors"
        height={260}
        xName="Airspeed"
        xKind="speed"
        yName="Power from the pack"
        yKind="power"
        yFromZero
        series={[
          { name: 'power', ...p, look: 'predicted' },
          ...(old ? [{ name: 'compared version', ...flown(old), look: 'ghost' as const }] : []),
          ...upright('lasts longest', at('longestSpeed'), 'ink'),
          ...upright('goes farthest', at('farthestSpeed'), 'second'),
          ...upright('wind with its gusts', wind, 'asked'),
        ]}
      />
      <ChartFrame
        title="Climb to spare against airspeed"
        height={200}
        xName="Airspeed"
        xKind="speed"
        yName="Climb"
        yKind="climbRate"
        series={[{ name: 'climb', ...flown(climb), look: 'predicted' }]}
      />
    </>
  );
}
