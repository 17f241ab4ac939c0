'use client';
/** One chart at a time of the drive: forces, efficiency, current, rpm, the pack run down, the bench. */
import { NativeSelect } from '@mantine/core';
import { useState } from 'react';
import { curveOf, entryOf } from '@skiametra/core/assess';
import { type PowerReport } from '@skiametra/core/views';
import { interpolateLinear } from '@skiametra/core/numeric';
import { ChartFrame, type Series } from '../../parts/ChartFrame';
import { measuredOf, useWorkspace } from '../../parts/workspace/useWorkspace';
import type { Ghost } from './useGhost';

const CHARTS = [
  ['forces', 'Thrust and drag by speed'],
  ['efficiency', 'Efficiency along the chain'],
  ['current', 'Current by speed'],
  ['rpm', 'Rotation by speed'],
  ['volts', 'Volts through the discharge'],
  ['heat', 'Motor heat through the discharge'],
  ['throttle', 'Thrust by throttle, standing'],
] as const;
type Chart = (typeof CHARTS)[number][0];

export function DriveCharts({
  report,
  ghost,
  height = 300,
}: {
  report: PowerReport;
  ghost: Ghost | null;
  height?: number;
}) {
  const [chart, setChart] = useState<Chart>('forces');
  const pick = (
    <NativeSelect
      aria-label="Chart"
      value={chart}
      onChange={(e) => setChart(e.currentTarget.value as Chart)}
      data={CHARTS.map(([value, label]) => ({ value, label }))}
      w={230}
    />
  );
  return (
    <div className="stack gap4">
      {pick}
      {chart === 'forces' ? (
        <Forces ghost={ghost} height={height} />
      ) : (
        <OtherChart chart={chart} report={report} height={height} />
      )}
    </div>
  );
}

function Forces({ ghost, height }: { ghost: Ghost | null; height: number }) {
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

function OtherChart({
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

function BenchThrottle({ report, height }: { report: PowerReport; height: number }) {
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
