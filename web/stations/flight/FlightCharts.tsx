'use client';
/** Speeds, climb and turns, drawn. */
import { curveOf, entryOf } from '@skiametra/core/assess';
import { ChartFrame } from '../../parts/ChartFrame';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

export function FlightCharts() {
  const ledger = useWorkspace((w) => w.ledger);
  const against = useWorkspace((w) => w.againstLedger);
  const loading = useWorkspace((w) => w.loading);
  if (!ledger || ledger.stopped) return null;
  const drag = curveOf(ledger, 'drag', loading)!;
  const old = against && curveOf(against, 'drag', loading);
  const climb = curveOf(ledger, 'climb', loading);
  const vs = entryOf(ledger, 'stallSpeed', loading)!.value;
  return (
    <>
      <ChartFrame
        title="Drag against airspeed"
        height={220}
        xName="Airspeed"
        xKind="speed"
        yName="Drag"
        yKind="force"
        yFromZero
        series={[
          { name: 'drag', x: drag.x, y: drag.y, sigma: drag.sigma, look: 'predicted' },
          ...(old ? [{ name: 'compared version', x: old.x, y: old.y, look: 'ghost' as const }] : []),
          { name: 'stall', x: [vs, vs], y: [0, Math.max(...drag.y)], look: 'asked' },
        ]}
      />
      {climb && (
        <ChartFrame
          title="Climb at full throttle against airspeed"
          height={200}
          xName="Airspeed"
          xKind="speed"
          yName="Climb"
          yKind="climbRate"
          series={[{ name: 'climb', x: climb.x, y: climb.y, look: 'ink' }]}
        />
      )}
    </>
  );
}
