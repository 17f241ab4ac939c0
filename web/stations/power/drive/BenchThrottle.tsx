'use client';
/** The throttle that stands for the bench. */
import type { PowerReport } from '@skiametra/core/views';
import { ChartFrame } from '../../../parts/ChartFrame';
import { measuredOf, useWorkspace } from '../../../parts/workspace/useWorkspace';

export function BenchThrottle({ report, height }: { report: PowerReport; height: number }) {
  const still = useWorkspace((w) => {
    const m = measuredOf(w, 'staticThrust', 'all');
    return m ? m.value : null;
  });
  const t = report.throttles;
  return (
    <ChartFrame
      title="Thrust standing still, pack at half charge"
      height={height}
      xName="Throttle"
      xKind="percent"
      yName="Thrust"
      yKind="force"
      yFromZero
      series={[
        { name: 'predicted', x: t.map((r) => r.throttle), y: t.map((r) => r.thrust), look: 'predicted' },
        ...(still !== null
          ? [{ name: 'bench, full throttle', x: [1], y: [still], look: 'measured' as const, marks: true }]
          : []),
      ]}
    />
  );
}
