/** `skia spar` and `skia structure`: closed forms at the command line, and every mistake in one sentence. */
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { waferProject } from '@skiametra/core/demo';
import { main } from './main';

const folder = mkdtempSync(join(tmpdir(), 'skia-spar-'));
afterAll(() => rmSync(folder, { recursive: true }));

async function skia(args: string): Promise<{ status: number; out: string; err: string }> {
  let out = '',
    err = '';
  const status = await main(
    args.split(' '),
    { write: (t: string) => (out += t) },
    { write: (t: string) => (err += t) },
  );
  return { status, out, err };
}

interface Answer {
  EI: number;
  rootMoment: number;
  tipDeflection: number;
  stress: number;
  failLoadFactor: number;
  first: string;
  way: string;
  stations: {
    y: number;
    moment: number;
    shear: number;
    EI: number;
    deflection: number;
    margin: number | null;
  }[];
  notCounted?: string[];
}

async function solved(args: string): Promise<Answer> {
  const { status, out, err } = await skia(`spar ${args}`);
  expect(err).toBe('');
  expect(status).toBe(0);
  return JSON.parse(out) as Answer;
}
const ALU = '--e-gpa 70 --strength-mpa 250';

describe('skia spar', () => {
  it('a tube under elliptic lift: root moment 4 F L / 3 pi, M c / I, E I', async () => {
    const a = await solved(`--shape tube --height-mm 10 --wall-mm 1 ${ALU} --length-m 1.5 --load-n 22`);
    const I = (Math.PI / 64) * (0.01 ** 4 - 0.008 ** 4),
      M = (22 * 1.5 * 4) / (3 * Math.PI);
    expect(a.EI / (70e9 * I)).toBeCloseTo(1, 6);
    expect(a.rootMoment / M).toBeCloseTo(1, 6);
    expect(a.stress / ((M * 0.005) / I)).toBeCloseTo(1, 6);
    expect(a.failLoadFactor / (250e6 / ((M * 0.005) / I))).toBeCloseTo(1, 6);
    expect(a.stations[0]!.margin).toBeCloseTo(a.failLoadFactor, 6);
    expect(a.stations.at(-1)!.deflection).toBe(a.tipDeflection);
    expect(a.first).toMatch(/breaks in bending .*at the root/);
  });
  it('a tapered rod with a load at its tip: P L3 / 24 E I of the tip for half the diameter', async () => {
    const a = await solved(
      `--shape rod --height-mm 20 --tip-height-mm 10 ${ALU} --length-m 1 --load-n 10 --distribution tip`,
    );
    expect(a.tipDeflection / (10 / (24 * 70e9 * ((Math.PI * 0.01 ** 4) / 64)))).toBeCloseTo(1, 4);
  });
  it('a channel that lies is weaker than one that stands, and says where it goes', async () => {
    const sizes = `--height-mm 10 --width-mm 20 --wall-mm 1 ${ALU} --length-m 1 --load-n 5 --distribution uniform`,
      upright = await solved(`--shape channel ${sizes}`),
      flat = await solved(`--shape channel --flat ${sizes}`);
    expect(flat.EI).toBeLessThan(upright.EI);
    expect(flat.first).toMatch(/flanges/);
  });
  it('a strip on edge that nothing holds turns over; held all along it does not', async () => {
    const strip = `--shape strip --height-mm 20 --width-mm 1 ${ALU} --length-m 0.5 --load-n 1 --distribution tip`;
    expect((await solved(strip)).way).toBe('sideways');
    expect((await solved(`${strip} --held-mm 0`)).way).not.toBe('sideways');
  });
  it('steps of a file: metal within, wood without', async () => {
    const file = join(folder, 'steps.json');
    writeFileSync(file, JSON.stringify([{ 'from-m': 0.4, 'e-gpa': 10.8, 'strength-mpa': 40 }]));
    const a = await solved(
      `--shape strip --height-mm 10 --width-mm 10 ${ALU} --held-mm 0 --length-m 1 --load-n 10 --distribution tip --steps ${file}`,
    );
    const I = 1e-8 / 12;
    expect(
      a.tipDeflection / (10 * ((1 - 0.6 ** 3) / (3 * 70e9 * I) + 0.6 ** 3 / (3 * 10.8e9 * I))),
    ).toBeCloseTo(1, 5);
    expect(a.stations.map((s) => s.EI)).toContain(a.EI);
  });
  it('what a web of another material stands in shear is not made up', async () => {
    const caps = `--shape caps --height-mm 20 --width-mm 10 --cap-mm 1 --web-mm 2 --web-e-gpa 3.4 --e-gpa 120 --strength-mpa 800 --length-m 1 --load-n 30`;
    expect((await solved(caps)).notCounted).toHaveLength(1);
    expect((await solved(`${caps} --web-shear-mpa 2`)).notCounted).toBeUndefined();
  });
  it.each([
    ['--shape bar', /--shape takes one of tube, rod/],
    [
      '--shape tube --height-mm 10 --e-gpa 70 --strength-mpa 250 --length-m 1 --load-n 1',
      /--wall-mm is missing/,
    ],
    [`--shape tube --height-mm 10 --wall-mm 6 ${ALU} --length-m 1 --load-n 1`, /that is a rod/],
    [`--shape rod --height-mm -3 ${ALU} --length-m 1 --load-n 1`, /--height-mm takes a number above 0/],
    [`--shape rod --height-mm 3 --e-gpa 70 --length-m 1 --load-n 1`, /--strength-mpa is missing/],
    [`--shape rod --height-mm 3 ${ALU} --load-n 1`, /--length-m is missing/],
    [
      `--shape rod --height-mm 3 ${ALU} --length-m 1 --load-n 1 --distribution square`,
      /--distribution takes one of/,
    ],
    [`--shape rod --height-mm 3 ${ALU} --length-m 1 --load-n 1 --steps /nowhere.json`, /cannot be read/],
  ])('%s: one sentence, status 2', async (args, sentence) => {
    const { status, out, err } = await skia(`spar ${args}`);
    expect(status).toBe(2);
    expect(out).toBe('');
    expect(err).toMatch(sentence);
    expect(err.trim().split('\n')).toHaveLength(1);
  });
});

describe('skia structure', () => {
  const file = join(folder, 'wafer.json');
  writeFileSync(file, JSON.stringify(waferProject()));
  it('prints cases, what fails first and where, and what the members weigh', async () => {
    const { status, out } = await skia(`structure ${file}`);
    expect(status).toBe(0);
    const a = JSON.parse(out) as {
      mass: number;
      cases: { case: string; borne: number; stations: unknown[] }[];
    };
    expect(a.mass).toBeGreaterThan(0);
    expect(a.cases).toHaveLength(8);
    for (const c of a.cases) expect(c.stations.length).toBeGreaterThan(10);
  });
  it('one case alone, and a case that is none in one sentence', async () => {
    const one = await skia(`structure ${file} --case tip-lift`);
    expect((JSON.parse(one.out) as { cases: unknown[] }).cases).toHaveLength(1);
    const none = await skia(`structure ${file} --case sideways`);
    expect(none.status).toBe(2);
    expect(none.err).toMatch(/There is no case “sideways”; there are pull/);
  });
});
