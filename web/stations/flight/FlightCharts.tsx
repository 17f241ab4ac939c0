'use client';
/** The envelope of a state, drawn: climb and sink, power, margin in turns, drag; wing and rotors on one axis of speed. */
import { SegmentedControl } from '@mantine/core';
import { useState } from 'react';
import { ClimbAndSink } from './envelope/ClimbAndSink';
import { DragOverSpeed } from './envelope/DragOverSpeed';
import { PowerOverSpeed } from './envelope/PowerOverSpeed';
import { TurnsAndGusts } from './envelope/TurnsAndGusts';
import { useEnvelope } from './envelope/useEnvelope';

const VIEWS = [
  { value: 'climb', label: 'Climb and sink' },
  { value: 'power', label: 'Power' },
  { value: 'turns', label: 'Turns and gusts' },
  { value: 'drag', label: 'Drag' },
];

export function FlightCharts() {
  const [view, setView] = useState('climb');
  const envelope = useEnvelope();
  if (!envelope) return null;
  const { sink, climb, rotorClimb, power } = envelope,
    climbs = sink ?? climb ?? rotorClimb;
  const has: Record<string, boolean> = {
    climb: climbs !== undefined,
    power: power !== null,
    turns: sink !== undefined,
    drag: sink !== undefined,
  };
  const views = VIEWS.filter((v) => has[v.value]),
    now = views.find((v) => v.value === view)?.value ?? views[0]?.value;
  if (now === undefined)
    return (
      <p className="dim">No flight is computed in this state: nothing carries it, or nothing drives it.</p>
    );
  return (
    <section aria-label="Envelope" className="stack gap8">
      <div>
        <SegmentedControl value={now} onChange={setView} data={views} aria-label="Envelope shows" />
      </div>
      {now === 'climb' && <ClimbAndSink envelope={envelope} />}
      {now === 'power' && <PowerOverSpeed envelope={envelope} />}
      {now === 'turns' && <TurnsAndGusts envelope={envelope} />}
      {now === 'drag' && <DragOverSpeed envelope={envelope} />}
    </section>
  );
}
