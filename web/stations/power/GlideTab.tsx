'use client';
/** Power off: speeds, reach against the wind, climb-and-glide cycles, a slope's winds. */
import { ShownTable, type ShownColumn } from '../../parts/table';
import type { PowerReport } from '@skiametra/core/views';
import { formatNumber, formatQuantity } from '@skiametra/core/units';
import { ChartFrame } from '../../parts/ChartFrame';
import { StatePicker } from '../../parts/StatePicker';
import { Readings } from '../../parts/marks/Reading';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

type Glide = NonNullable<PowerReport['glide']>;

export function GlideTab({ glide: g, electric }: { glide: Glide; electric: boolean }) {
  const units = useWorkspace((w) => w.units);
  const speed = (v: number) => formatQuantity(v, 'speed', units);
  return (
    <div className="station cols-glidetab">
      <ChartFrame
        title="Sink by airspeed, power off"
        height={300}
        xName="Airspeed"
        xKind="speed"
        yName="Sink"
        yKind="climbRate"
        yFromZero
        at={{ x: g.glideSpeed, y: g.glideSpeed / g.ratio, name: 'best glide' }}
        series={[
          { name: 'sink', x: g.polar.map((p) => p.speed), y: g.polar.map((p) => p.sink), look: 'predicted' },
        ]}
      />
      <div className="stack">
        <section className="block" aria-label="Gliding in words">
          <h2>Gliding</h2>
          <p className="below4">
            Least sink {formatQuantity(g.sink, 'climbRate', units)} at {speed(g.sinkSpeed)}; best glide{' '}
            {formatNumber(g.ratio, 3)} at {speed(g.glideSpeed)}. Up to {speed(g.fast)} it still glides 5 to 1.
          </p>
          <ShownTable
            name={`Reach from ${formatQuantity(100, 'distance', units)}`}
            rows={g.reach}
            rowKey={(r) => String(r.wind)}
            columns={REACH}
          />
          <p className="dim small">
            With the wind behind, fly no slower through the air: airspeed alone keeps it flying.
          </p>
        </section>
        {electric && (
          <section className="block" aria-label="Climb and glide">
            <h2>Motor to {formatQuantity(100, 'distance', units)}, off, down again</h2>
            {g.cycle ? (
              <p className="flush">
                {formatQuantity(g.cycle.climbTime, 'time', units)} up for{' '}
                {formatQuantity(g.cycle.climbEnergy, 'energy', units)},{' '}
                {formatQuantity(g.cycle.glideTime, 'time', units)} down: {formatNumber(g.cycle.cycles, 2)}{' '}
                times on the pack, {formatQuantity(g.cycle.total, 'duration', units)} in all,{' '}
                {formatQuantity(g.cycle.meanPower, 'power', units)} on average.
              </p>
            ) : (
              <p className="dim flush">It does not climb.</p>
            )}
          </section>
        )}
        <section className="block" aria-label="On a slope">
          <h2>On a slope of 20°</h2>
          <p className="flush">
            {g.slope
              ? `Holds up in winds of ${speed(g.slope.from)} to ${speed(g.slope.to)}; below it sinks out, above it is blown back.`
              : 'No wind on such a slope holds it up.'}{' '}
            <span className="dim">Order of size; gusts and the brow decide.</span>
          </p>
        </section>
      </div>
      <div className="stack">
        <div>
          <StatePicker />
        </div>
        <Readings
          title="Gliding"
          ids={['glideRatio', 'glideSpeed', 'minSink', 'stallSpeed', 'wingLoading']}
        />
      </div>
    </div>
  );
}

const REACH: ShownColumn<Glide['reach'][number]>[] = [
  { key: 'wind', label: 'Wind against', fixed: true, kind: 'speed', value: (r) => r.wind },
  { key: 'distance', label: 'Reaches', kind: 'distance', value: (r) => Math.max(0, r.distance) },
  {
    key: 'speed',
    label: 'Flown at',
    kind: 'speed',
    value: (r) => (r.distance > 0 ? r.speed : null),
  },
];
