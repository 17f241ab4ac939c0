/** GPX and IGC by files written by hand, with the parts that few writers use. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readLog } from './readLog';

async function* bytesOf(text: string, size = 61) {
  const all = Buffer.from(text, 'utf8');
  for (let i = 0; i < all.length; i += size) {
    await Promise.resolve();
    yield new Uint8Array(all.subarray(i, i + size));
  }
}
const read = (text: string) => readLog(bytesOf(text));
const log = async (text: string) => {
  const r = await read(text);
  if (r.status === 'error') throw new Error(r.message);
  expect(r.table).toBeNull();
  return r.log;
};
const DEG = Math.PI / 180;

/** Two tracks, two segments, a prefix of its own, entities, CDATA, fractions and a zone, an empty height, a route left alone. */
const GPX = `<?xml version="1.0" encoding="UTF-8"?>
<!-- written by hand -->
<g:gpx version="1.1" creator="hand &amp; pen" xmlns:g="http://www.topografix.com/GPX/1/1" xmlns:x="urn:x">
  <g:wpt lat="52.1" lon="0.3"><g:time>2026-05-04T10:00:01Z</g:time><g:name><![CDATA[drop <1>]]></g:name></g:wpt>
  <g:rte><g:rtept lat="1" lon="1"><g:ele>9</g:ele></g:rtept></g:rte>
  <g:trk><g:name>first</g:name>
    <g:trkseg>
      <g:trkpt lat="52.1000000" lon="-0.30"><g:ele>12.5</g:ele><g:time>2026-05-04T12:00:00.250+02:00</g:time>
        <g:extensions><x:TrackPointExtension><x:speed>14.5</x:speed><x:course>270</x:course></x:TrackPointExtension></g:extensions>
      </g:trkpt>
      <g:trkpt lon="-0.3001" lat="52.1001"><g:time>2026-05-04T10:00:01.250Z</g:time><g:fix>3d</g:fix></g:trkpt>
    </g:trkseg>
    <g:trkseg/>
  </g:trk>
  <g:trk><g:trkseg>
    <g:trkpt lat="91" lon="-0.3002"><g:ele/><g:time>2026-05-04T10:00:02.250Z</g:time></g:trkpt>
  </g:trkseg></g:trk>
</g:gpx>`;

describe('GPX', () => {
  it('its rare parts', async () => {
    const { t, channels, events, begun } = await log(GPX);
    expect([...t]).toEqual([0, 1, 2].map((v) => expect.closeTo(v, 6)));
    expect(begun).toBe('2026-05-04T10:00:00.250Z');
    expect(channels.lat![0]).toBeCloseTo(52.1 * DEG, 12);
    expect(channels.lon![1]).toBeCloseTo(-0.3001 * DEG, 12);
    // outside of the schema's range
    expect(channels.lat![2]).toBeNaN();
    expect([...channels.height!]).toEqual([12.5, NaN, NaN]);
    expect(channels.groundSpeed![0]).toBe(14.5);
    expect(channels.track![0]).toBeCloseTo(1.5 * Math.PI, 12);
    expect(events).toEqual([{ t: expect.closeTo(0.75, 6), name: 'drop <1>' }]);
  });
  it.each([
    [GPX.slice(0, -20), /no whole XML/],
    [GPX.replace(/<g:time>[^<]*<\/g:time>/g, ''), /have no times/],
    ['<gpx version="1.1"></gpx>', /no track/],
    // entities are not unfolded from a file's own list
    ['<!DOCTYPE gpx [<!ENTITY a "aaaa">]><gpx><trk>&a;</trk></gpx>', /XML|rows|columns/i],
  ])('%#: what is wrong is said', async (text, message) =>
    expect(await read(text)).toMatchObject({ status: 'error', message: expect.stringMatching(message) }),
  );
});

/** Additions declared by I, a fix without height, tenths of a second, finer minutes, west and south, events, midnight, noise. */
const IGC = [
  'AXYZ123 hand made',
  'HFDTEDATE:311226,01',
  'HFPLTPILOTINCHARGE:nobody',
  'I063636LAD3737LOD3838TDS3941TAS4244GSP4547TRT',
  'C311226000000000000000102',
  'B2359585206000N00018000WA001230013055507206205',
  'E235959PEVbutton',
  'B2359595206010N00018010WV0012400000---07206212-',
  'LXYZ a comment with B2359595206010N',
  'B0000005206020S00018020EA-0125-0010550072062090',
  'B00000',
  'K000001some',
  'GSIGNATURE',
].join('\r\n');

describe('IGC', () => {
  it('its rare parts', async () => {
    const { t, channels, events, begun } = await log(IGC);
    expect(begun).toBe('2026-12-31T23:59:58.500Z');
    expect(t).toHaveLength(3);
    expect(t[0]).toBe(0);
    // the second has no tenths, the third is of the next day
    expect(t[1]).toBeCloseTo(0.5, 9);
    expect(t[2]).toBeCloseTo(1.5, 9);
    expect(channels.track![2]).toBeCloseTo(Math.PI / 2, 9);
    // 06.0005 minutes: a digit more than its thousandths
    expect(channels.lat![0]).toBeCloseTo((52 + 6.0005 / 60) * DEG, 12);
    expect(channels.lon![0]).toBeCloseTo(-(18.0005 / 60) * DEG, 12);
    expect(channels.lat![2]).toBeLessThan(0);
    expect([...channels.height!]).toEqual([130, NaN, -10]);
    expect([...channels.pressureHeight!]).toEqual([123, 124, -125]);
    expect(channels.airspeed![0]).toBeCloseTo(72 / 3.6, 9);
    expect(channels.groundSpeed![0]).toBeCloseTo(62 / 3.6, 9);
    expect(channels.track![1]).toBeNaN();
    expect(events).toEqual([{ t: expect.closeTo(0.5, 6), name: 'PEV button' }]);
  });
  it('a recorder without a sensor of pressure has no pressure height', async () => {
    const { channels } = await log(
      ['AXYZ1', 'B1000005206000N00018000WA0000000130', 'B1000015206000N00018000WA0000000131'].join('\n'),
    );
    expect(channels.pressureHeight).toBeUndefined();
  });
});

describe('damaged tracks', () => {
  it.each([
    { name: 'GPX', text: GPX },
    { name: 'IGC', text: IGC },
  ])('$name cut or changed anywhere ends in a log or a sentence', async ({ text }) => {
    await fc.assert(
      fc.asyncProperty(
        fc.nat(text.length),
        fc.nat(text.length),
        fc.string({ maxLength: 8 }),
        async (a, b, put) => {
          const r = await read(text.slice(0, Math.min(a, b)) + put + text.slice(Math.max(a, b)));
          expect(['ok', 'error']).toContain(r.status);
        },
      ),
      { numRuns: 200, seed: 6 },
    );
  });
});
