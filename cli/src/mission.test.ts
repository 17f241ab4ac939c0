import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { bitternProject, dunlinProject, gnatProject } from '@skiametra/core/demo';
import { main } from './main';

const folder = mkdtempSync(join(tmpdir(), 'skia-mission-'));
afterAll(() => rmSync(folder, { recursive: true }));
const file = (name: string, data: unknown) => {
  const path = join(folder, name);
  writeFileSync(path, JSON.stringify(data));
  return path;
};
async function skia(...args: string[]) {
  let out = '',
    err = '';
  const status = await main(args, { write: (s: string) => (out += s) }, { write: (s: string) => (err += s) });
  return { status, out, err };
}

interface Told {
  mission: string;
  legs: { kind: string; state: string; time: number; mass: number; cgX: number; margin: number | null }[];
  total: { time: number; deliveries: number };
  spread: { time: number };
  endedBy: string;
}
const told = (out: string) => JSON.parse(out) as Told;

describe('skia mission', () => {
  const bittern = file('bittern.json', bitternProject());
  it('flies the Relay heat until the clock ends it, and its legs add up to the total', async () => {
    const { status, out } = await skia('mission', bittern);
    expect(status).toBe(0);
    const m = told(out);
    expect(m.mission).toBe('Relay heat');
    expect(m.endedBy).toBe('clock');
    expect(m.legs.reduce((s, l) => s + l.time, 0)).toBeCloseTo(m.total.time, 2);
    expect(m.spread.time).toBeGreaterThan(0);
    expect(m.total.deliveries % 8).toBe(0);
    for (const l of m.legs)
      expect(Object.keys(l)).toEqual(expect.arrayContaining(['distance', 'energy', 'height', 'cgX']));
  });
  it('a mission by its name, flown by a state', async () => {
    const { out } = await skia('mission', bittern, '--mission', 'laps', '--state', 'Ferry');
    expect(told(out).legs.every((l) => l.state === 'ferry')).toBe(true);
  });
  it('darts leave one by one and it grows lighter', async () => {
    const { out } = await skia('mission', file('dunlin.json', dunlinProject())),
      drops = told(out).legs.filter((l) => l.kind === 'drop');
    expect(drops).toHaveLength(16);
    for (const [i, d] of drops.slice(1).entries()) expect(d.mass).toBeLessThan(drops[i]!.mass);
  });
  it('on rubber: one leg, for as long as it flies', async () => {
    const { out } = await skia('mission', file('gnat.json', gnatProject()));
    expect(told(out).legs).toHaveLength(1);
    expect(told(out).endedBy).toBe('done');
  });
  it('a mission that is not there: one sentence, status 2', async () => {
    const { status, err } = await skia('mission', bittern, '--mission', 'ralay');
    expect(status).toBe(2);
    expect(err).toMatch(/There is no mission “ralay”; there are Laps, Relay heat/);
  });
});

describe('skia drop', () => {
  it('from 25 m at 6 m/s: 2.26 s, 13.5 m ahead, 22.9 m/s', async () => {
    const { status, out } = await skia('drop', '--height', '25', '--speed', '6');
    expect(status).toBe(0);
    const d = JSON.parse(out) as Record<string, number>;
    expect(d.time).toBeCloseTo(2.258, 3);
    expect(d.distance).toBeCloseTo(13.55, 2);
    expect(d.impactSpeed).toBeCloseTo(22.94, 2);
    expect(d.terminalSpeed).toBeNull();
  });
  it('a head wind shortens it, drag too', async () => {
    const at = async (...more: string[]) =>
      JSON.parse((await skia('drop', '--height', '25', '--speed', '6', ...more)).out) as Record<
        string,
        number
      >;
    expect((await at('--wind', '-3')).distance).toBeLessThan(7);
    expect((await at('--mass', '0.2', '--drag-area', '0.02')).distance).toBeLessThan(13);
  });
  it.each([
    [['--height', '25'], /--speed takes a number/],
    [['--height', 'high', '--speed', '6'], /--height takes a number from 0\.01 to 5000/],
    [['--height', '25', '--speed', '6', '--drag-area', '0.02'], /how heavy it is/],
    [['what', '--height', '25', '--speed', '6'], /one word too many/],
  ])('%j: one sentence, status 2', async (args, says) => {
    const { status, err } = await skia('drop', ...args);
    expect(status).toBe(2);
    expect(err).toMatch(says);
  });
});
