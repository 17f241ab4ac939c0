'use client';
/** The flight that a motor gives, wound as said. */
import { Button } from '@mantine/core';
import { powertrainOf } from '@skiametra/core/design';
import { formatQuantity } from '@skiametra/core/units';
import type { PowerReport } from '@skiametra/core/views';
import { useState } from 'react';
import { ChartFrame } from '../../../parts/ChartFrame';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { useSeason } from './Season';

export function Flight({ report }: { report: PowerReport }) {
  const r = report.rubber!,
    rows = r.rows,
    [chart, setChart] = useState<'height' | 'torque'>('height');
  const ceiling = useWorkspace((w) => powertrainOf(w.content.document.design).rubber!.ceiling);
  const units = useWorkspace((w) => w.units);
  const season = useSeason();
  return (
    <div className="stack gap4">
      <div className="line gap8">
        <Button
          size="compact-xs"
          variant={chart === 'height' ? 'filled' : 'default'}
          onClick={() => setChart('height')}
        >
          Height
        </Button>
        <Button
          size="compact-xs"
          variant={chart === 'torque' ? 'filled' : 'default'}
          onClick={() => setChart('torque')}
        >
          Torque
        </Button>
      </div>
      {chart === 'height' ? (
        <ChartFrame
          title={
            r.touched !== null
              ? `It meets the ceiling after ${formatQuantity(r.touched, 'time', units)}`
              : `Up for ${formatQuantity(r.time, 'time', units)}, highest ${formatQuantity(r.peak, 'distance', units)}`
          }
          height={250}
          xName="Time"
          xKind="time"
          yName="Height"
          yKind="distance"
          yFromZero
          series={[
            {
              name: 'predicted',
              x: rows.map((p) => p.time),
              y: rows.map((p) => p.height),
              look: 'predicted',
            },
            ...(ceiling !== null
              ? [{ name: 'ceiling', x: [0, r.time], y: [ceiling, ceiling], look: 'asked' as const }]
              : []),
            ...(season.some((s) => s.height !== null)
              ? [
                  {
                    name: 'flown: seconds and greatest height',
                    x: season.filter((s) => s.height !== null).map((s) => s.seconds),
                    y: season.filter((s) => s.height !== null).map((s) => s.height!),
                    look: 'measured' as const,
                    marks: true,
                  },
                ]
              : []),
          ]}
        />
      ) : (
        <ChartFrame
          title="Torque by turns in the motor: burst, plateau, knee"
          height={250}
          xName="Turns"
          xKind="count"
          yName="Torque"
          yKind="smallMoment"
          yFromZero
          at={{ x: r.motor.launchTurns, y: r.motor.launchTorque, name: 'launch' }}
          series={[
            {
              name: 'motor',
              x: r.curve.map((c) => c.turns),
              y: r.curve.map((c) => c.torque),
              look: 'predicted',
            },
            ...(season.some((s) => s.torque !== null)
              ? [
                  {
                    name: 'read at launches',
                    x: season.filter((s) => s.torque !== null).map((s) => s.launchTurns),
                    y: season.filter((s) => s.torque !== null).map((s) => s.torque!),
                    look: 'measured' as const,
                    marks: true,
                  },
                ]
              : []),
          ]}
        />
      )}
    </div>
  );
}
