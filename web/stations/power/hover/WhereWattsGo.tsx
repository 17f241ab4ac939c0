'use client';
/** Where the watts of hovering go: the pack's power cut into what is lost on the way and what holds the aircraft up. */
import type { HoverPoint } from '@skiametra/core/power';
import { formatQuantity } from '@skiametra/core/units';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

export function WhereWattsGo({ point: p }: { point: HoverPoint }) {
  const units = useWorkspace((w) => w.units);
  const watts = (power: number) => formatQuantity(power, 'power', units);
  const parts = [
    { id: 'heat', power: p.electric - p.shaft, says: 'warms motors, wires and controllers' },
    { id: 'blades', power: p.shaft - p.ideal, says: 'drags blades through the air' },
    { id: 'lift', power: p.ideal, says: 'pushes air down and holds it up' },
  ];
  return (
    <section className="block" aria-label="Where the watts go">
      <h2>
        Of {watts(p.electric)} from the pack{' '}
        <span className="right dim">{formatQuantity(p.overall, 'percent', units)} hold it up</span>
      </h2>
      <div className="watts" aria-hidden="true">
        {parts.map(({ id, power }) => (
          <span key={id} className={id} style={{ flexGrow: Math.max(power, 0) }} />
        ))}
      </div>
      <ul className="wattwords">
        {parts.map(({ id, power, says }) => (
          <li key={id} className={id}>
            <b className="num">{watts(power)}</b> {says}
          </li>
        ))}
      </ul>
      <p className="below4">
        The stick stands at {formatQuantity(p.throttle, 'percent', units)} for{' '}
        {formatQuantity(p.thrustShare, 'percent', units)} of the thrust there is; every motor draws{' '}
        {formatQuantity(p.point.motorCurrent, 'current', units)} at{' '}
        {formatQuantity(p.point.omega, 'rotation', units)}. Larger discs would need fewer watts: these carry{' '}
        {formatQuantity(p.discLoading, 'wingLoading', units)}.
      </p>
    </section>
  );
}
