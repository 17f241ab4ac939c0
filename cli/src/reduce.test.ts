/** `skia reduce`: a file of a logger that nobody here has seen, to JSON lines. */
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { seasonFlights } from '@skiametra/devices';
import { main } from './main';

const folder = mkdtempSync(join(tmpdir(), 'skia-reduce-'));
afterAll(() => rmSync(folder, { recursive: true }));

async function skia(...args: string[]) {
  let out = '',
    err = '';
  const status = await main(args, { write: (s: string) => (out += s) }, { write: (s: string) => (err += s) });
  return { status, out, err };
}

/** Circles at 14 m/s in 4 m/s of wind from the west, after half a minute on the ground: knots, feet, decimal commas. */
function oddLog(): string {
  const comma = (v: number, digits: number) => v.toFixed(digits).replace('.', ',');
  const lines = [
    ...Array.from({ length: 10 }, (_, i) => `Header ${i};x`),
    'Zeit;Ost;Nord;Höhe [ft];Geschw. [kt]',
  ];
  let x = 0,
    y = 0;
  for (let i = 0; i < 500; i++) {
    const t = 0.2 * i,
      up = i > 100,
      u = up ? 14 * Math.sin(0.4 * t) + 4 : 0,
      v = up ? 14 * Math.cos(0.4 * t) : 0;
    x += 0.2 * u;
    y += 0.2 * v;
    const wobble = 0.2 * Math.sin(7.3 * i);
    lines.push(
      [
        comma(t, 1),
        comma(x + wobble, 2),
        comma(y - wobble, 2),
        comma((up ? 40 : 0) / 0.3048, 1),
        comma((Math.hypot(u, v) * 3600) / 1852, 2),
      ].join(';'),
    );
    // one row twice
    if (i === 250) lines.push(lines.at(-1)!);
  }
  return lines.join('\r\n');
}
const path = join(folder, 'odd.csv');
writeFileSync(path, Buffer.from(oddLog(), 'latin1'));

type Line = Record<string, unknown>;
const linesOf = (out: string) =>
  out
    .trim()
    .split('\n')
    .map((l) => JSON.parse(l) as Line);

describe('skia reduce', () => {
  it('segments, results with their spread, quality last', async () => {
    const { status, out } = await skia('reduce', path);
    expect(status).toBe(0);
    const lines = linesOf(out),
      of = (id: string) => lines.find((l) => l.result === id)!;
    expect(lines[0]).toMatchObject({ segment: 'flight', kind: 'flight' });
    expect(of('windSpeed').value).toBeCloseTo(4, 0);
    expect(of('windFrom')).toMatchObject({ unit: 'deg' });
    expect(Math.abs((of('windFrom').value as number) - 270)).toBeLessThan(4);
    expect(of('airspeed').value).toBeCloseTo(14, 0);
    expect(of('airspeed').sigma).toBeGreaterThan(0);
    expect(of('peakHeight').value).toBeCloseTo(40, 0);
    expect(lines.at(-1)).toEqual({
      quality: { rows: 501, duplicates: 1, disorder: 0, gaps: 0, spikes: 0, frozen: 0, empty: 0 },
    });
  });
  it('every result that is of something says in which unit', async () => {
    const flown = join(folder, 'flown.csv');
    writeFileSync(flown, seasonFlights()[1]!.text());
    const { out } = await skia('reduce', flown, '--mass', '2', '--wing-area', '0.4');
    const bare = linesOf(out).filter((l) => l.unit === '1');
    expect(bare.map((l) => l.result).sort()).toEqual([
      'airspeedFactor',
      ...['glideRatio', 'inducedFactor', 'maxLoadFactor', 'turnLoadFactor'],
    ]);
  });
  it('a column named by hand, in another unit', async () => {
    const { out } = await skia('reduce', path, '--map', 'height=Höhe:m');
    expect(linesOf(out).find((l) => l.result === 'peakHeight')!.value).toBeCloseTo(40 / 0.3048, 0);
  });
  it.each([
    [['reduce'], /Name a log/],
    [['reduce', join(folder, 'none.csv')], /cannot be read/],
    [['reduce', path, '--map', 'height=Nowhere'], /no column “Nowhere”; there are Zeit/],
    [['reduce', path, '--map', 'depth=Zeit'], /no channel “depth”/],
    [['reduce', path, '--map', 'height=Höhe:furlong'], /“furlong” is no unit of height/],
    [['reduce', path, '--mass', '-2'], /above nought/],
  ] as const)('%j says what is wrong', async (args, message) => {
    const { status, out, err } = await skia(...args);
    expect(status).toBe(2);
    expect(out).toBe('');
    expect(err).toMatch(message);
  });
});
