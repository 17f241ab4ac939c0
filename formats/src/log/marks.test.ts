/** KML and GeoJSON: written by hand with their rare parts; cut and garbled they are refused with a sentence. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readLog, type LogRead } from './readLog';

async function* pieces(text: string, size: number): AsyncGenerator<Uint8Array> {
  const bytes = new TextEncoder().encode(text);
  for (let i = 0; i < bytes.length; i += size) yield await Promise.resolve(bytes.subarray(i, i + size));
}
const read = (text: string, size = 61): Promise<LogRead> => readLog(pieces(text, size));
async function logOf(text: string) {
  const r = await read(text);
  if (r.status === 'error') throw new Error(r.message);
  return r.log;
}
const degrees = (v: Float64Array | undefined) => [...(v ?? [])].map((x) => (x * 180) / Math.PI);

const KML = `<?xml version="1.0" encoding="UTF-8"?>
<!-- by hand -->
<kml xmlns="http://www.opengis.net/kml/2.3" xmlns:gx="http://www.google.com/kml/ext/2.2"><Document>
<Placemark><name>drop &amp; turn</name><TimeStamp><when>2026-06-20T09:00:01Z</when></TimeStamp>
<Point><coordinates>0.15,52.2,9</coordinates></Point></Placemark>
<Placemark><gx:MultiTrack><gx:Track>
<when>2026-06-20T09:00:00Z</when><when>2026-06-20T10:00:02+01:00</when><when>2026-06-20T09:00:04Z</when>
<gx:coord>0.1 52.1 3.5</gx:coord><gx:coord>-0.2 -52.2 4</gx:coord><gx:coord>999 52 5</gx:coord>
</gx:Track></gx:MultiTrack></Placemark>
<Placemark><LineString><coordinates>0,52,1 0,53,2</coordinates></LineString></Placemark>
</Document></kml>`;

const GEO = JSON.stringify({
  type: 'FeatureCollection',
  features: [
    {
      type: 'Feature',
      properties: { coordTimes: ['2026-06-20T09:00:00Z', '2026-06-20T09:00:01.5Z'], note: 'ü' },
      geometry: {
        type: 'LineString',
        coordinates: [
          [0.1, 52.1, 3],
          [0.2, 52.2],
        ],
      },
    },
    {
      type: 'Feature',
      properties: { time: 1_781_946_004, name: 'drop' },
      geometry: { type: 'Point', coordinates: [0.1, 52.1] },
    },
    { type: 'Feature', properties: null, geometry: null },
    {
      type: 'Feature',
      properties: { time: 1_781_946_003_000 },
      geometry: { type: 'Point', coordinates: [0.3, 'x', 7] },
    },
  ],
});

describe('KML', () => {
  it('tracks by when and coord, zones, a place that is no longitude, marks with a time; a drawn line is left', async () => {
    const log = await logOf(KML);
    expect([...log.t]).toEqual([0, 2, 4]);
    expect(degrees(log.channels.lat)).toEqual([
      expect.closeTo(52.1),
      expect.closeTo(-52.2),
      expect.closeTo(52),
    ]);
    expect(degrees(log.channels.lon)).toEqual([expect.closeTo(0.1), expect.closeTo(-0.2), NaN]);
    expect(log.events).toEqual([{ t: 1, name: 'drop & turn' }]);
    expect(log.begun).toBe('2026-06-20T09:00:00.000Z');
  });
  it('a route without times says so', async () => {
    const r = await read(
      '<kml><Placemark><LineString><coordinates>0,52 0,53</coordinates></LineString></Placemark></kml>',
    );
    expect(r).toMatchObject({ status: 'error', message: expect.stringMatching(/no track/) as string });
  });
});

describe('GeoJSON', () => {
  it('lines with times beside them, points with a time in seconds or milliseconds, marks, what is no number', async () => {
    const log = await logOf(GEO);
    expect([...log.t]).toEqual([0, 1.5, 3]);
    expect([...log.channels.height!]).toEqual([3, NaN, 7]);
    expect(degrees(log.channels.lat)).toEqual([expect.closeTo(52.1), expect.closeTo(52.2), NaN]);
    expect(log.events).toEqual([{ t: 4, name: 'drop' }]);
  });
  it('one feature by itself', async () => {
    const one = JSON.stringify((JSON.parse(GEO) as { features: unknown[] }).features[0]);
    expect([...(await logOf(one)).t]).toEqual([0, 1.5]);
  });
});

describe('files that are cut or garbled', () => {
  it.each([
    ['KML', KML],
    ['GeoJSON', GEO],
  ])('law: %s cut or overwritten anywhere is read or refused with a sentence', async (_, good) => {
    await fc.assert(
      fc.asyncProperty(
        fc.nat(good.length),
        fc.nat(30),
        fc.constantFrom('', '\u0000', '<', '}', '"', 'NaN', '😀'),
        fc.boolean(),
        async (at, width, put, cut) => {
          const r = await read(cut ? good.slice(0, at) : good.slice(0, at) + put + good.slice(at + width));
          if (r.status === 'error') expect(r.message).toMatch(/^[A-Z].*\.$/s);
        },
      ),
      { seed: 71, numRuns: 120 },
    );
  });
});
