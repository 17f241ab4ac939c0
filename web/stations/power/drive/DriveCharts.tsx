'use client';
/** The drive over speed, throttle and time. */
import { NativeSelect } from '@mantine/core';
import type { PowerReport } from '@skiametra/core/views';
import { useState } from 'react';
import type { Ghost } from '../useGhost';
import { Forces } from './Forces';
import { OtherChart } from './OtherChart';

const CHARTS = [
  ['forces', 'Thrust and drag by speed'],
  ['efficiency', 'Efficiency along the chain'],
  ['current', 'Current by speed'],
  ['rpm', 'Rotation by speed'],
  ['volts', 'Volts through the discharge'],
  ['heat', 'Motor heat through the discharge'],
  ['throttle', 'Thrust by throttle, standing'],
] as const;
export type Chart = (typeof CHARTS)[number][0];

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
