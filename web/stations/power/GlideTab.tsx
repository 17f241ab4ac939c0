'use client';
/** Power off: speeds, reach against the wind, climb-and-glide cycles, a slope's winds. */
import type { PowerReport } from '@skiametra/core/views';
import { formatNumber, formatQuantity } from '@skiametra/core/units';
import { ChartFrame } from '../../parts/ChartFrame';
import { StatePicker } from '../../parts/StatePicker';
import { Readings } from '../../parts/marks/Reading';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

export function GlideTab({ report }: { report: PowerReport }) {
  const units = useWorkspace((w) => w.units);
  const g = report.glide,
    speed = (v: number) => formatQuantity(v, 'speed', units);
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
          <table className="sheet" aria-label="Reach from 100 m">
            <thead>
              <tr>
                <th>From 100 m against</th>
                <th className="num">reaches</th>
                <th className="num">flown at</th>
              </tr>
            </thead>
            <tbody>
              {g.reach.map((r) => (
                <tr key={r.wind}>
                  <td className="num textleft">{r.wind === 0 ? 'still air' : speed(r.wind)}</td>
                  <td className="num">
                    {r.distance > 0 ? formatQuantity(r.distance, 'distance', units) : 'blown back'}
                  </td>
                  <td className="num">{r.distance > 0 ? speed(r.speed) : ''}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="dim small">
            With the wind behind, fly no slower through the air: airspeed alone keeps it flying.
          </p>
        </section>
        <section className="block" aria-label="Climb and glide">
          <h2>Motor to 100 m, off, down again</h2>
          {g.cycle ? (
            <p className="flush">
              {formatQuantity(g.cycle.climbTime, 'time', units)} up for{' '}
              {formatQuantity(g.cycle.climbEnergy, 'energy', units)},{' '}
              {formatQuantity(g.cycle.glideTime, 'time', units)} down: {formatNumber(g.cycle.cycles, 2)} times
              on the pack, {formatQuantity(g.cycle.total, 'duration', units)} in all,{' '}
              {formatQuantity(g.cycle.meanPower, 'power', units)} on average.
            </p>
          ) : (
            <p className="dim flush">
              {report.kind === 'electric'
                ? 'It does not climb.'
                : 'No motor: launched by hand, tow or bungee.'}
            </p>
          )}
        </section>
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
