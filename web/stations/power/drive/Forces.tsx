'use client';
/** Thrust against drag over speed. */
import { curveOf, entryOf } from '@skiametra/core/assess';
import { interpolateLinear } from '@skiametra/core/numeric';
import { ChartFrame } from '../../../parts/ChartFrame';
import { measuredOf, useWorkspace } from '../../../parts/workspace/useWorkspace';
import type { Ghost } from '../useGhost';

export function Forces({ ghost, height }: { ghost: Ghost | null; height: number }) {
  const ledger = useWorkspace((w) => w.ledger);
  const against = useWorkspace((w) => w.againstLedger);
  const loading = useWorkspace((w) => w.loading);
  const still = useWorkspace((w) => {
    const m = measuredOf(w, 'staticThrust', 'all');
    return m ? m.value : null;
  });
  if (!ledger || ledger.stopped) return null;
  const thrust = curveOf(ledger, 'thrust', 'all'),
    lap = curveOf(ledger, 'lapThrust', 'all'),
    drag = curveOf(ledger, 'drag', loading);
  if (!thrust || !lap || !drag) return null;
  const stand = entryOf(ledger, 'staticThrust', 'all');
  const old = against && curveOf(against, 'thrust', 'all'),
    v = entryOf(ledger, 'lapSpeed', loading)?.value;
  return (
    <ChartFrame
      title="Level speeds are where thrust and drag cross"
      height={height}
      xName="Airspeed"
      xKind="speed"
      yName="Force"
      yKind="force"
      yFromZero
      at={v ? { x: v, y: interpolateLinear(drag.x, drag.y, v), name: 'at lap throttle' } : null}
      series={[
        ...(still !== null
          ? [{ name: 'bench, standing', x: [0], y: [still], look: 'measured' as const, marks: true }]
          : []),
        {
          name: 'thrust, full throttle',
          x: [...(stand ? [0] : []), ...thrust.x],
          y: [...(stand ? [stand.value] : []), ...thrust.y],
          sigma: thrust.sigma && [...(stand ? [stand.sigma] : []), ...thrust.sigma],
          look: 'predicted',
        },
        { name: 'thrust, lap throttle', x: lap.x, y: lap.y, look: 'second' },
        { name: 'drag', x: drag.x, y: drag.y, sigma: drag.sigma, look: 'ink' },
        ...(ghost?.thrust
          ? [{ name: ghost.name, x: ghost.thrust.x, y: ghost.thrust.y, look: 'ghost' as const }]
          : old
            ? [{ name: 'thrust, compared version', x: old.x, y: old.y, look: 'ghost' as const }]
            : []),
      ]}
    />
  );
}
