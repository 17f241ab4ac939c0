/** `skia surfaces` and `skia balance` on the demos: what is promised is there, and wrong input gets a sentence. */
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import { main } from './main';

const dir = mkdtempSync(join(tmpdir(), 'skia-layout-'));
const file = (name: string) => join(dir, `${name}.json`);
async function call(...args: string[]): Promise<{ code: number; out: string; err: string }> {
  let out = '',
    err = '';
  const code = await main(
    args,
    {
      write: (t) => {
        out += t;
      },
    },
    {
      write: (t) => {
        err += t;
      },
    },
  );
  return { code, out, err };
}
interface Surfaces {
  CL: number;
  CD: number;
  CDi: number;
  Cm: number;
  alpha: number;
  elevator: number | null;
  CLalpha: number;
  CmAlpha: number;
  neutralPointX: number;
  cgX: number;
  staticMargin: number;
  CLmax: number;
  alphaStall: number;
  stall: { surface: string; eta: number; clRatio: number }[];
  derivatives: Record<string, number>;
  modes: { name: string; real: number }[];
  reference: { area: number; chord: number; span: number; momentX: number };
}
const surfaces = async (...args: string[]) => {
  const r = await call('surfaces', ...args);
  expect(r.err).toBe('');
  return JSON.parse(r.out) as Surfaces;
};

beforeAll(async () => {
  for (const d of ['bittern', 'wafer', 'crane']) writeFileSync(file(d), (await call('demo', d)).out);
});

describe('skia surfaces', () => {
  it('trims at a speed: lift is the weight, the margin is the slope ratio, moment point and references are said', async () => {
    const s = await surfaces(file('bittern'), '--state', '8 tubes', '--speed', '14', '--trim');
    expect(s.Cm).toBe(0);
    expect(s.CL).toBeGreaterThan(0.5);
    expect(-s.CmAlpha / s.CLalpha).toBeCloseTo(s.staticMargin, 1);
    expect((s.neutralPointX - s.cgX) / s.reference.chord).toBeCloseTo(s.staticMargin, 4);
    expect(s.reference.momentX).toBeCloseTo(s.cgX, 5);
    expect(s.CD).toBeGreaterThan(s.CDi);
    expect(Object.keys(s.derivatives)).toEqual(
      expect.arrayContaining(['CLalpha', 'Cmq', 'Clbeta', 'Cnbeta', 'Clp', 'Cnr', 'Claileron', 'Cnrudder']),
    );
    expect(s.modes.map((m) => m.name)).toEqual(
      expect.arrayContaining(['short period', 'phugoid', 'roll', 'Dutch roll', 'spiral']),
    );
  }, 60_000);
  it('at a given angle it tells lift, moment and each strip’s share of its limit', async () => {
    const low = await surfaces(file('bittern'), '--alpha', '4'),
      high = await surfaces(file('bittern'), '--alpha', '10');
    expect(high.CL).toBeGreaterThan(low.CL + 0.3);
    expect(low.elevator).toBeNull();
    expect(high.stall.find((q) => q.surface === 'wing')!.clRatio).toBeGreaterThan(
      low.stall.find((q) => q.surface === 'wing')!.clRatio,
    );
    expect(high.CLmax).toBeGreaterThan(1);
    expect(high.alphaStall).toBeGreaterThan(0.15);
  }, 60_000);
  it('a negative angle may follow its option with a space', async () => {
    const a = await surfaces(file('bittern'), '--alpha', '-2'),
      b = await surfaces(file('bittern'), '--alpha=-2');
    expect(a.CL).toBe(b.CL);
    expect(a.alpha).toBeCloseTo((-2 * Math.PI) / 180, 12);
  }, 60_000);
  it('a glider without tail or motor is no exception', async () => {
    const s = await surfaces(file('wafer'));
    expect(s.staticMargin).toBeGreaterThan(0.02);
    expect(s.modes.length).toBeGreaterThan(3);
  }, 60_000);
  it.each([
    [['--alpha', '4', '--trim'], /not both/],
    [['--speed', 'fast'], /--speed takes a number/],
    [['--speed', '0'], /from 1 to 120/],
    [['--alpha', '99'], /from -20 to 30/],
    [['--state', 'moon'], /no state “moon”/],
  ])('%j: one sentence and status 2', async (args, re) => {
    const r = await call('surfaces', file('bittern'), ...args);
    expect(r.code).toBe(2);
    expect(r.err).toMatch(re);
    expect(r.out).toBe('');
  });
  it('without a file it asks for one', async () => {
    expect((await call('surfaces')).err).toMatch(/skia surfaces FILE/);
    expect((await call('balance')).err).toMatch(/skia balance FILE/);
  });
});

describe('skia balance', () => {
  it('prints CG and inertia of every state, limits by school, and the proposal that mends the tail-heavy demo', async () => {
    const b = JSON.parse((await call('balance', file('bittern'))).out) as {
      states: { cg: { x: number }; inertia: { ixx: number }; sigma: { x: number } }[];
      schools: { id: string }[];
      proposal: { status: string; sentence: string };
      firstFlight: { sentence: string };
      ground: { propellerClearance: number };
    };
    expect(b.states).toHaveLength(10);
    expect(b.states.every((l) => l.inertia.ixx > 0 && l.sigma.x > 0)).toBe(true);
    expect(b.schools.map((s) => s.id)).toEqual(['margin', 'tail-volume', 'percent']);
    expect(b.proposal.status).toBe('moved');
    expect(b.proposal.sentence).toMatch(/battery \d+ mm forward/);
    expect(b.firstFlight.sentence).toMatch(/mean chord/);
    expect(b.ground.propellerClearance).toBeGreaterThan(0);
  }, 60_000);
  it('the Crane’s hover shares are in it', async () => {
    const b = JSON.parse((await call('balance', file('crane'))).out) as {
      hover: { rotors: { share: number }[] };
    };
    expect(b.hover.rotors.reduce((s, r) => s + r.share, 0)).toBeCloseTo(1, 9);
  }, 60_000);
});
