import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { bitternProject, dunlinProject, waferProject } from '@skiametra/core/demo';
import { main } from './main';

const folder = mkdtempSync(join(tmpdir(), 'skia-hover-'));
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

describe('skia launch', () => {
  const wafer = file('wafer.json', waferProject());
  it('by hand, as fast and as high as is said', async () => {
    const { status, out } = await skia('launch', wafer, '--way', 'hand', '--speed', '9', '--height', '1.8');
    expect(status).toBe(0);
    const a = JSON.parse(out) as {
      airspeedWhenLetGo: { value: number };
      overStall: { value: number };
      stallSpeed: { value: number };
      flies: boolean;
    };
    expect(a.airspeedWhenLetGo.value).toBeCloseTo(9.3, 6);
    expect(a.overStall.value * a.stallSpeed.value).toBeCloseTo(9.3, 3);
    expect(a.flies).toBe(true);
  });
  it.each([
    [['--way', 'trebuchet'], /--way takes one of/],
    [['--way', 'hand', '--pull', '9'], /--pull says nothing of leaving by hand/],
    [['--way', 'hand', '--speed', 'fast'], /--speed takes a number/],
    [['--way', 'bungee'], /needs --pull, --stretch/],
  ])('%j: one sentence, status 2', async (args, sentence) => {
    const { status, err } = await skia('launch', wafer, ...args);
    expect(status).toBe(2);
    expect(err).toMatch(sentence);
  });
});

describe('skia hover', () => {
  const dunlin = file('dunlin.json', dunlinProject());
  it('tells hover, shares that sum to one, and flight over speed', async () => {
    const { status, out } = await skia('hover', dunlin);
    expect(status).toBe(0);
    const a = JSON.parse(out) as {
      hover: { power: { value: number } };
      rotors: { share: number }[];
      flight: { topSpeed: { value: number } };
      overSpeed: { speed: number; power: number }[];
    };
    expect(a.rotors.reduce((s, r) => s + r.share, 0)).toBeCloseTo(1, 5);
    expect(a.overSpeed[0]!.power).toBeCloseTo(a.hover.power.value, -1);
    expect(a.overSpeed.at(-1)!.speed).toBeGreaterThan(a.flight.topSpeed.value - 1);
  });
  it('of an aircraft that does not hover: one sentence, status 2', async () => {
    const { status, err } = await skia('hover', file('bittern.json', bitternProject()));
    expect(status).toBe(2);
    expect(err).toMatch(/No state of this design hovers/);
  });
  it('what has no wing has no surfaces to tell of, and its balance speaks of rotors', async () => {
    const surfaces = await skia('surfaces', dunlin);
    expect(surfaces.status).toBe(2);
    expect(surfaces.err).toMatch(/has no wing/);
    const { out } = await skia('balance', dunlin);
    expect(JSON.parse(out)).toMatchObject({ states: [{ hover: true, staticMargin: null }, {}, {}] });
    expect(out).not.toMatch(/neutralPoint|schools/);
  });
});
