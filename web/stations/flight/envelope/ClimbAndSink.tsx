'use client';
/** Speed across, climb and sink up: on full power, gliding, and on the rotors. */
import { ChartFrame, type Series } from '../../../parts/ChartFrame';
import { flown, upTo, type Envelope, type Points } from './useEnvelope';

export function ClimbAndSink({ envelope: e }: { envelope: Envelope }) {
  const line = (name: string, of: Points | undefined, look: Series['look']): Series[] =>
    of ? [{ name, ...upTo(flown(of), e.most), look }] : [];
  return (
    <ChartFrame
      title="Climb and sink against airspeed"
      height={330}
      xName="Airspeed"
      xKind="speed"
      yName="Climb"
      yKind="climbRate"
      uprights={e.uprights}
      stretches={e.stretches}
      series={[
        ...line('at full throttle', e.climb, 'predicted'),
        ...line('gliding', e.sink, 'ink'),
        ...line('on the rotors', e.rotorClimb, 'second'),
        ...line('compared version, full throttle', e.old('climb'), 'ghost'),
      ]}
    />
  );
}
