'use client';
/** What a gust from behind leaves at each speed and bank, and the stall in turns, of the wing and of its inner half. */
import { ChartFrame } from '../../../parts/ChartFrame';
import { Readings } from '../../../parts/marks/Reading';
import { siteGust } from '@skiametra/core/structure';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { flown, upTo, type Envelope } from './useEnvelope';

const BANKS = [
  { bank: 0, look: 'predicted' },
  { bank: 30, look: 'ink' },
  { bank: 45, look: 'second' },
  { bank: 60, look: 'measured' },
] as const;

export function TurnsAndGusts({ envelope: e }: { envelope: Envelope }) {
  const gust = useWorkspace((w) => siteGust(w.content.document.brief.site));
  const margins = BANKS.flatMap(({ bank, look }) => {
      const c = e.curve(`gustMargin${bank}`);
      return c
        ? [{ name: bank === 0 ? 'straight' : `bank of ${bank}°`, ...upTo(flown(c), e.most), look }]
        : [];
    }),
    whole = e.curve('turnStall'),
    inner = e.curve('innerStall');
  const ends = margins[0] ? [margins[0].x[0]!, margins[0].x.at(-1)!] : [];
  return (
    <>
      <ChartFrame
        title="Gust from behind that it stands before it stalls"
        height={250}
        xName="Airspeed"
        xKind="speed"
        yName="Gust"
        yKind="speed"
        uprights={e.uprights.filter((u) => u.name === 'stall')}
        series={[
          ...margins,
          ...(ends.length ? [{ name: 'gusts here', x: ends, y: [gust, gust], look: 'asked' as const }] : []),
        ]}
      />
      {whole && inner && (
        <ChartFrame
          title="Stall in a level turn"
          height={210}
          xName="Bank"
          xKind="angle"
          yName="Airspeed"
          yKind="speed"
          series={[
            { name: 'inner wing', x: inner.x, y: inner.y, look: 'predicted' },
            { name: 'whole wing', x: whole.x, y: whole.y, look: 'ghost' },
          ]}
        />
      )}
      <Readings title="In the lap turn" ids={['turnStallSpeed', 'innerStall', 'turnGust']} />
    </>
  );
}
