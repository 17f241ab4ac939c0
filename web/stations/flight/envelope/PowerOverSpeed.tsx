'use client';
/** Speed across, power from the pack for level flight up: on the wing, on the rotors, on both. */
import { ChartFrame, type Series } from '../../../parts/ChartFrame';
import { Readings } from '../../../parts/marks/Reading';
import { flown, upTo, type Envelope, type Points } from './useEnvelope';

export function PowerOverSpeed({ envelope: e }: { envelope: Envelope }) {
  const line = (name: string, of: Points | undefined, look: Series['look']): Series[] =>
    of ? [{ name, ...upTo(flown(of, true), e.most), look }] : [];
  const { wing, rotors, both } = e.power!,
    share = e.curve('corridorWing');
  return (
    <>
      <ChartFrame
        title="Power for level flight against airspeed"
        height={300}
        xName="Airspeed"
        xKind="speed"
        yName="Power from the pack"
        yKind="power"
        yFromZero
        uprights={e.uprights}
        stretches={e.stretches}
        series={[
          ...line('on the wing', wing, 'predicted'),
          ...line('wing to its margin, rotors the rest', both, wing ? 'second' : 'predicted'),
          ...line('on the rotors', rotors, 'predicted'),
          ...line('compared version', e.old('levelPower') ?? e.old('rotorPower'), 'ghost'),
        ]}
      />
      {share && (
        <ChartFrame
          title="Share of the weight on the wing"
          height={170}
          xName="Airspeed"
          xKind="speed"
          yName="Wing"
          yKind="percent"
          yFromZero
          stretches={e.stretches}
          series={line('wing', share, 'predicted')}
        />
      )}
      <Readings
        title="Longest and farthest"
        ids={['cruiseLongest', 'cruiseLongestSpeed', 'cruiseFarthest', 'cruiseFarthestSpeed']}
      />
    </>
  );
}
