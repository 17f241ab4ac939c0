'use client';
/** The other charts of the drive. */
import type { PowerReport } from '@skiametra/core/views';
import { ChartFrame, type Series } from '../../../parts/ChartFrame';
import { BenchThrottle } from './BenchThrottle';
import type { Chart } from './DriveCharts';

export function OtherChart({
  chart,
  report,
  height,
}: {
  chart: Exclude<Chart, 'forces'>;
  report: PowerReport;
  height: number;
}) {
  const rows = report.speeds,
    x = rows.map((r) => r.speed),
    held = rows.filter((r) => r.hold);
  const line = (name: string, y: number[], look: Series['look'], xs = x): Series => ({
    name,
    x: xs,
    y,
    look,
  });
  if (chart === 'efficiency')
    return (
      <ChartFrame
        title="What gets through, full throttle"
        height={height}
        xName="Airspeed"
        xKind="speed"
        yName="Efficiency"
        yKind="percent"
        yFromZero
        series={[
          line(
            'controller, wire and motor',
            rows.map((r) => r.motor),
            'second',
          ),
          line(
            'propeller',
            rows.map((r) => r.propeller),
            'ink',
          ),
          line(
            'pack to thrust power',
            rows.map((r) => r.overall),
            'predicted',
          ),
        ]}
      />
    );
  if (chart === 'current')
    return (
      <ChartFrame
        title="Current from the pack"
        height={height}
        xName="Airspeed"
        xKind="speed"
        yName="Current"
        yKind="current"
        yFromZero
        series={[
          line(
            'full throttle',
            rows.map((r) => r.full.current),
            'predicted',
          ),
          line(
            'level flight',
            held.map((r) => r.hold!.current),
            'ink',
            held.map((r) => r.speed),
          ),
        ]}
      />
    );
  if (chart === 'rpm')
    return (
      <ChartFrame
        title="Rotation at full throttle"
        height={height}
        xName="Airspeed"
        xKind="speed"
        yName="Rotation"
        yKind="rotation"
        series={[
          line(
            'full throttle',
            rows.map((r) => r.full.omega),
            'predicted',
          ),
        ]}
      />
    );
  if (chart === 'throttle') return <BenchThrottle report={report} height={height} />;
  const d = report.discharge!,
    of = (
      k: 'flight' | 'full',
      f: (r: (typeof d.flight.rows)[number]) => number,
      look: Series['look'],
    ): Series => ({
      name: k === 'flight' ? 'level flight' : 'full throttle, standing',
      x: d[k].rows.map((r) => r.time),
      y: d[k].rows.map(f),
      look,
    });
  if (chart === 'volts')
    return (
      <ChartFrame
        title="Pack under load"
        height={height}
        xName="Time"
        xKind="duration"
        yName="Pack"
        yKind="voltage"
        series={[
          of('flight', (r) => r.voltage, 'predicted'),
          of('full', (r) => r.voltage, 'second'),
          {
            name: 'least',
            x: [0, Math.max(d.flight.time, d.full.time)],
            y: [report.volts!.least, report.volts!.least],
            look: 'asked',
          },
        ]}
      />
    );
  return (
    <ChartFrame
      title="Winding temperature"
      height={height}
      xName="Time"
      xKind="duration"
      yName="Winding"
      yKind="temperature"
      series={[
        of('flight', (r) => r.winding, 'predicted'),
        of('full', (r) => r.winding, 'second'),
        ...heatLimit(report, Math.max(d.flight.time, d.full.time)),
      ]}
    />
  );
}

function heatLimit(report: PowerReport, end: number): Series[] {
  const limit = report.chain?.still.links
    .find((l) => l.id === 'motor')
    ?.margins.find((m) => m.what === 'temperature')?.limit;
  return limit === undefined ? [] : [{ name: 'limit', x: [0, end], y: [limit, limit], look: 'asked' }];
}
