'use client';
/** What was measured over what is computed, drawn. */
import type { BenchResult } from '@skiametra/core/trial';
import { ChartFrame } from '../../../parts/ChartFrame';

export function BenchCharts({ result }: { result: BenchResult }) {
  const s = result.steps,
    x = s.map((p) => p.throttle),
    pts = result.points;
  return (
    <div className="cols cols-benchtab3">
      <ChartFrame
        title="Thrust by throttle"
        height={200}
        xName="Throttle"
        xKind="percent"
        yName="Thrust"
        yKind="force"
        yFromZero
        series={[
          { name: 'computed, volts as read', x, y: s.map((p) => p.predicted.thrust), look: 'predicted' },
          {
            name: 'read, tare off',
            x: pts.map((p) => p.throttle),
            y: pts.map((p) => p.thrust),
            look: 'measured',
            marks: true,
          },
        ]}
      />
      <ChartFrame
        title="Current by throttle"
        height={200}
        xName="Throttle"
        xKind="percent"
        yName="Current"
        yKind="current"
        yFromZero
        series={[
          { name: 'computed, volts as read', x, y: s.map((p) => p.predicted.amps), look: 'predicted' },
          {
            name: 'read',
            x: pts.map((p) => p.throttle),
            y: pts.map((p) => p.amps),
            look: 'measured',
            marks: true,
          },
        ]}
      />
    </div>
  );
}
