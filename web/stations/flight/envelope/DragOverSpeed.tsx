'use client';
/** Drag in level flight over speed. */
import { ChartFrame } from '../../../parts/ChartFrame';
import type { Envelope } from './useEnvelope';

export function DragOverSpeed({ envelope: e }: { envelope: Envelope }) {
  const drag = e.curve('drag'),
    old = e.old('drag');
  if (!drag) return null;
  return (
    <ChartFrame
      title="Drag against airspeed"
      height={280}
      xName="Airspeed"
      xKind="speed"
      yName="Drag"
      yKind="force"
      yFromZero
      uprights={e.uprights}
      series={[
        { name: 'drag', x: drag.x, y: drag.y, sigma: drag.sigma, look: 'predicted' },
        ...(old ? [{ name: 'compared version', x: old.x, y: old.y, look: 'ghost' as const }] : []),
      ]}
    />
  );
}
