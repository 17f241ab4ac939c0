/** Tables of loggers that nobody here has seen: told what they are laid out as, what their columns hold, read row by row. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { layoutOf } from './layout';
import { guessMapping } from './guess';
import { readLog } from './readLog';
import { clockSeconds, daySeconds, epochKind, timeSeconds } from './timeCells';

/** A file in pieces, cut anywhere. */
async function* bytesOf(text: string, size = 97, coding: 'utf8' | 'latin1' | 'utf16le' = 'utf8') {
  const all = Buffer.from(text, coding);
  for (let i = 0; i < all.length; i += size) {
    await Promise.resolve();
    yield new Uint8Array(all.subarray(i, i + size));
  }
}
const PREAMBLE = Array.from({ length: 10 }, (_, i) => `Remark ${i};made up`).join('\n');
const GERMAN = `${PREAMBLE}
Uhrzeit;Breite;Länge;Höhe [ft];Geschw. [kt];Spannung [V]
10:00:00,20;52,4000006;0,3000001;100,0;20,00;16,02
10:00:00,40;52,4000099;0,3000102;101,5;20,10;16,01
10:00:00,60;52,4000203;0,3000200;103,0;20,20;
10:00:00,80;52,4000303;0,3000300;104,5;20,20;15,99
`;
const read = async (text: string, coding: 'utf8' | 'latin1' | 'utf16le' = 'utf8') => {
  const r = await readLog(bytesOf(text, 97, coding));
  if (r.status === 'error') throw new Error(r.message);
  return r;
};

describe('odd tables', () => {
  it.each(['utf8', 'latin1'] as const)(
    'semicolons, decimal commas, feet, knots, ten lines before, %s',
    async (coding) => {
      const { log, table } = await read(GERMAN, coding);
      expect(Object.values(table!.mapping).map((u) => u.as)).toEqual([
        ...['time', 'lat', 'lon', 'height', 'groundSpeed', 'volts'],
      ]);
      [0, 0.2, 0.4, 0.6].forEach((t, i) => expect(log.t[i]).toBeCloseTo(t, 9));
      expect(log.channels.height![1]).toBeCloseTo(101.5 * 0.3048, 9);
      expect(log.channels.groundSpeed![0]).toBeCloseTo((20 * 1852) / 3600, 9);
      expect(log.channels.lat![0]).toBeCloseTo((52.4000006 * Math.PI) / 180, 12);
      expect(log.channels.volts![2]).toBeNaN();
      expect(log.begun).toBeNull();
    },
  );
  it('tabs, a line of units, milliseconds, millivolts and g', async () => {
    const { log, table } = await read(
      'millis\tAltBaro\tAccZ\tVBat\tThrottle\tmode\n(ms)\t(m)\t(g)\t(mV)\t(us)\t\n' +
        [0, 50, 100, 150]
          .map((t) => `${t}\t12.${t}\t1.0${t / 50}\t16${t + 100}\t1500\t${t < 100 ? 'a' : 'b'}`)
          .join('\n'),
    );
    expect(Object.values(table!.mapping).map((u) => u.as)).toEqual([
      ...['time', 'pressureHeight', 'az', 'volts', 'throttle', 'event'],
    ]);
    expect([...log.t]).toEqual([0, 0.05, 0.1, 0.15].map((v) => expect.closeTo(v, 9)));
    expect(log.channels.az![1]).toBeCloseTo(1.01 * 9.80665, 9);
    expect(log.channels.volts![0]).toBeCloseTo(16.1, 9);
    expect(log.channels.throttle![0]).toBeCloseTo(0.5, 9);
    expect(log.events.map((e) => e.name)).toEqual(['a', 'b']);
  });
  it('dates with a zone, quotes, UTF-16', async () => {
    const { log } = await read(
      '\ufeff"Time","GPS Speed (km/h)","Alt (m)"\n' +
        [
          '"2026-05-04T10:00:00.000+02:00","36.0","12"',
          '"2026-05-04T10:00:01.000+02:00","37.8","13"',
          '"2026-05-04T10:00:02.000+02:00","36.0","14"',
        ].join('\n'),
      'utf16le',
    );
    expect(log.begun).toBe('2026-05-04T08:00:00.000Z');
    expect([...log.channels.groundSpeed!]).toEqual([10, 10.5, 10].map((v) => expect.closeTo(v, 9)));
  });
  it('blanks as wide as they like, no names, an epoch', () => {
    const found = layoutOf(
      '1777888800.0   52.1   0.31\n1777888801.0  52.2 0.32\n1777888802.0 52.3   0.33\n',
      true,
    );
    if (found.status === 'error') throw new Error(found.message);
    expect(found.layout.delimiter).toBe(' ');
    expect(guessMapping(found.layout)[0]).toEqual({ as: 'time', kind: 's' });
  });
  it('a time of day runs on past midnight', async () => {
    const { log } = await read('time,alt\n23:59:59,1\n00:00:00,2\n00:00:01,3\n');
    expect([...log.t]).toEqual([0, 1, 2]);
  });
});

describe('times', () => {
  it.each([
    ['12:34:56.5', 45296.5],
    ['1:02 pm', 46920],
    ['123456.25', 45296.25],
    ['noon', NaN],
  ])('%s', (cell, seconds) => expect(clockSeconds(cell)).toBe(seconds));
  it.each([
    ['2026-05-04', Date.UTC(2026, 4, 4)],
    ['4.5.2026', Date.UTC(2026, 4, 4)],
    ['5/4/2026', Date.UTC(2026, 4, 4)],
    ['25/4/26', Date.UTC(2026, 3, 25)],
  ])('%s', (cell, ms) => expect(daySeconds(cell)).toBe(ms / 1000));
  it('a date with a zone is in UTC, one without is as it stands', () => {
    expect(timeSeconds('2026-05-04 10:00:00', 'date')).toBe(Date.UTC(2026, 4, 4, 10) / 1000);
    expect(timeSeconds('2026-05-04T10:00:00-03:30', 'date')).toBe(Date.UTC(2026, 4, 4, 13, 30) / 1000);
  });
  it.each([
    [1777888800, 's'],
    [1777888800123, 'ms'],
    [1777888800123456, 'µs'],
    [12.5, null],
  ])('%d', (v, kind) => expect(epochKind(v)).toBe(kind));
});

describe('what is no log', () => {
  it.each([
    ['', /no rows/],
    ['a,b\nc,d\ne,f\n', /No columns of numbers|no rows/],
    ['\u0000\u0001\u0002', /not a text file/],
    [`time,alt\n${'x'.repeat(200_000)}`, /no end|no rows|No columns/],
  ])('%j says so in a sentence', async (text, message) => {
    const r = await readLog(bytesOf(text, 5000));
    expect(r).toMatchObject({ status: 'error', message: expect.stringMatching(message) });
  });
  it('anything at all ends in a log or a sentence', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.string({ maxLength: 400 }),
        fc.array(fc.constantFrom('1', '2.5', ',', ';', '\n', ':', '-', 'e', '"', 't'), { maxLength: 200 }),
        async (a, b) => {
          const r = await readLog(bytesOf(a + b.join('')));
          expect(['ok', 'error']).toContain(r.status);
        },
      ),
      { numRuns: 300, seed: 4 },
    );
  });
  it('a signal stops it', async () => {
    const stop = new AbortController();
    stop.abort(new Error('stopped by hand'));
    await expect(readLog(bytesOf(GERMAN), { signal: stop.signal })).rejects.toThrow('stopped by hand');
  });
});
