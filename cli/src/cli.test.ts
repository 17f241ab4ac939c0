import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { ZipFile } from 'yazl';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import { main } from './main';

const dir = mkdtempSync(join(tmpdir(), 'skia-'));
const demo = join(dir, 'demo.json');
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

beforeAll(async () => {
  writeFileSync(demo, (await call('demo', 'bittern')).out);
});

describe('skia', () => {
  it('assess prints the ledger, of one state by id or name', async () => {
    const r = await call('assess', demo, '--state', '6 tubes');
    expect(r.code).toBe(0);
    const ledger = JSON.parse(r.out) as { quantities: { id: string; state: string; value: number }[] };
    expect(new Set(ledger.quantities.map((q) => q.state))).toEqual(new Set(['all', 'tubes-6']));
    expect(ledger.quantities.find((q) => q.id === 'wingSpan')!.value).toBeCloseTo(1.6, 9);
  });
  it('assess takes a bare design document too', async () => {
    const file = join(dir, 'doc.json');
    writeFileSync(
      file,
      JSON.stringify(
        (JSON.parse((await call('demo', 'bittern')).out) as { versions: { document: unknown }[] })
          .versions[0]!.document,
      ),
    );
    expect((await call('assess', file)).code).toBe(0);
  });
  it('assess takes the zip that the application exports', async () => {
    const file = join(dir, 'p.skiametra.zip'),
      zip = new ZipFile();
    zip.addBuffer(Buffer.from('1'), 'files/t1/a.csv');
    zip.addBuffer(readFileSync(demo), 'project.json');
    zip.end();
    const chunks: Buffer[] = [];
    for await (const c of zip.outputStream) chunks.push(c as Buffer);
    const bytes = Buffer.concat(chunks);
    writeFileSync(file, bytes);
    expect((await call('assess', file)).out).toBe((await call('assess', demo)).out);
    writeFileSync(file, bytes.subarray(0, bytes.length - 20));
    expect((await call('assess', file)).err).toMatch(/cut short/);
  });
  it('schema and log', async () => {
    expect(JSON.parse((await call('schema')).out)).toHaveProperty('properties.versions');
    const log = await call('log', demo, '--state', 'tubes-6', '--laps', '2');
    expect(log.out.split('\n').length).toBeGreaterThan(100);
  });
  it.each([
    ['own', /^time_s,/],
    ['other', /^Flugdaten/],
    ['gpx', /^<\?xml/],
    ['igc', /^AXSM001/],
  ])('a flight as %s, read again by reduce', async (format, begins) => {
    const { out } = await call('log', demo, '--state', 'tubes-6', '--laps', '2', '--format', format),
      file = join(dir, `flight.${format}`);
    expect(out).toMatch(begins);
    writeFileSync(file, out);
    const results = (await call('reduce', file)).out;
    expect(results).toMatch(/"result":"windSpeed"/);
    expect(results).toMatch(/"result":"climbRate"/);
  });
  it.each([
    [['assess'], /Name a file/],
    [['assess', '/nowhere'], /no file/],
    [['assess', demo, '--state', 'moon'], /no state “moon”/],
    [['assess', demo, '--loading', 'ferry'], /called --state now: --state ferry/],
    [['demo'], /Name a demo/],
    [['demo', 'constructor'], /Name a demo/],
    [['dance'], /not a command/],
    [['assess', demo, 'x'], /too many/],
    [['assess', '--wibble'], /wibble/],
    [['log', demo, '--laps', '0'], /whole number/],
    [['log', demo, '--format', 'bird'], /no format of a log/],
  ])('%j: one sentence and status 2', async (args, re) => {
    const r = await call(...args);
    expect(r.code).toBe(2);
    expect(r.err).toMatch(re);
    expect(r.err.trim().split('\n')).toHaveLength(1);
    expect(r.out).toBe('');
  });
  it('a damaged file is refused', async () => {
    const file = join(dir, 'bad.json');
    writeFileSync(file, '{"format":"skiametra-project","schemaVersion":1}');
    expect((await call('assess', file)).err).toMatch(/damaged/);
    writeFileSync(file, 'hello');
    expect((await call('assess', file)).err).toMatch(/not JSON/);
  });
  it('runs as a program', () => {
    const bin = new URL('../bin/skia.mjs', import.meta.url).pathname;
    expect(
      JSON.parse(
        execFileSync(process.execPath, [bin, 'demo', 'bittern'], { encoding: 'utf8', maxBuffer: 1e8 }),
      ),
    ).toHaveProperty('format', 'skiametra-project');
    expect(spawnSync(process.execPath, [bin, 'dance']).status).toBe(2);
  });
});

interface SectionJson {
  airfoil: { name: string; thickness: number; camber: number };
  reynolds: number | null;
  amplification: number;
  points: {
    alpha: number;
    cl: number | null;
    cd: number;
    cm: number;
    transitionTop: number | null;
    transitionBottom: number;
    converged: boolean;
    cp?: number[][];
  }[];
  clMax: number | null;
  alphaClMax: number | null;
  confidence?: string;
  cp?: number[][];
}

describe('skia section', () => {
  const section = async (...args: string[]) => {
    const r = await call('section', ...args);
    expect(r.err).toBe('');
    expect(r.code).toBe(0);
    return JSON.parse(r.out) as SectionJson;
  };
  it('prints a polar with the agreed fields', async () => {
    const j = await section('--airfoil', 'naca2412', '--re', '200000', '--alpha=-2:6:2');
    expect(j.airfoil).toEqual({
      name: 'NACA 2412',
      thickness: expect.closeTo(0.12, 3),
      camber: expect.closeTo(0.02, 3),
    });
    expect([j.reynolds, j.amplification]).toEqual([200000, 9]);
    expect(j.points.map((p) => p.alpha)).toEqual([-2, 0, 2, 4, 6]);
    for (const p of j.points)
      expect(p).toMatchObject({
        converged: true,
        cl: expect.any(Number),
        cd: expect.any(Number),
        cm: expect.any(Number),
        transitionTop: expect.any(Number),
        transitionBottom: expect.any(Number),
      });
    expect(j.clMax!).toBeGreaterThan(1);
    expect(j.alphaClMax!).toBeGreaterThan(9);
  });
  it('inviscid: drag is zero, pressures on request, lift as thin-airfoil theory has it', async () => {
    const j = await section('--airfoil', 'naca0012', '--alpha', '4', '--inviscid', '--cp');
    expect(j.points[0]!.cd).toBe(0);
    expect(j.points[0]!.cl!).toBeCloseTo(2 * Math.PI * Math.sin((4 * Math.PI) / 180) * 1.1, 1);
    expect(j.cp!.length).toBe(160);
    expect(Math.max(...j.cp!.map((p) => p[2]!))).toBeLessThanOrEqual(1);
  });
  it('options by their old names are refused with the new ones', async () => {
    for (const [was, is] of [
      ['ncrit', 'amplification'],
      ['xtr-top', 'trip-top'],
      ['xtr-bottom', 'trip-bottom'],
    ]) {
      const r = await call(
        'section',
        '--airfoil',
        'naca0012',
        '--re',
        '2e5',
        '--alpha',
        '2',
        `--${was}`,
        '0.5',
      );
      expect(r.code).toBe(2);
      expect(r.err).toContain(`--${was} is called --${is} now: --${is} 0.5`);
    }
  });
  it('trips, waves and a flap are heard', async () => {
    const j = await section(
      '--airfoil',
      'naca0012',
      '--re',
      '500000',
      '--alpha',
      '2',
      '--trip-top',
      '0.3',
      '--trip-bottom',
      '0.4',
      '--amplification',
      '7',
    );
    expect(j.points[0]!.transitionTop).toBeLessThanOrEqual(0.301);
    expect(j.points[0]!.transitionBottom).toBeLessThanOrEqual(0.401);
    expect(j.amplification).toBe(7);
    const flap = await section(
      '--airfoil',
      'naca0012',
      '--re',
      '500000',
      '--alpha',
      '2',
      '--flap',
      '0.75,10',
    );
    expect(flap.points[0]!.cl!).toBeGreaterThan(0.5);
  });
  it('takes 5-digit and modified names, a plate, and a file; a plate says that it is rough', async () => {
    expect(
      (await section('--airfoil', 'naca23012', '--alpha', '0', '--inviscid')).airfoil.camber,
    ).toBeCloseTo(0.0184, 3);
    expect((await section('--airfoil', 'naca0012-34', '--alpha', '0', '--inviscid')).airfoil.name).toBe(
      'NACA 0012-34',
    );
    expect((await section('--airfoil', 'flatplate', '--re', '80000', '--alpha=0:6:3')).confidence).toBe(
      'low',
    );
    const file = join(dir, 'mine.dat');
    const { parseDat, writeDat } = await import('@skiametra/formats');
    const { naca4 } = await import('@skiametra/core/section');
    const c = naca4('4412', 81);
    writeFileSync(
      file,
      writeDat(
        'Mine',
        Array.from({ length: 81 }, (_, i) => [c.xy[2 * i]!, c.xy[2 * i + 1]!] as const),
      ),
    );
    expect(parseDat('x', 'y').status).toBe('error');
    expect((await section('--airfoil', file, '--alpha', '0', '--inviscid')).airfoil).toMatchObject({
      name: 'Mine',
      thickness: expect.closeTo(0.12, 2),
    });
  });
  it.each([
    [[], /Name a section/],
    [['--airfoil', 'naca99'], /neither a section name nor a file/],
    [['--airfoil', 'naca2412', '--alpha', '0'], /--re takes/],
    [['--airfoil', 'naca2412', '--re', '2e5'], /--alpha takes/],
    [['--airfoil', 'naca2412', '--re', '2e5', '--alpha=5:1:1'], /FROM below TO/],
    [['--airfoil', 'naca2412', '--re', 'fast', '--alpha', '0'], /not “fast”/],
    [['--airfoil', 'naca2412', '--re', '2e5', '--alpha=0:10:0.001'], /the most/],
    [['--airfoil', 'naca2412', '--re', '2e5', '--alpha', '0', '--flap', '0.1,5'], /--flap takes/],
    [['--airfoil', 'naca2412', '--re', '2e5', '--alpha', '0', '--cp'], /goes with --inviscid/],
    [['--airfoil', 'naca2400', '--re', '2e5', '--alpha', '0'], /Thickness must be/],
    [['--airfoil', 'naca26012', '--re', '2e5', '--alpha', '0'], /5-digit/],
    [['naca2412'], /too many/],
    [['--airfoil', 'naca23012-34', '--re', '2e5', '--alpha', '0'], /only four-digit/],
    [['--airfoil', demo, '--re', '2e5', '--alpha', '0'], /pair of numbers|larger than 200 kB/],
  ])('section %j: one sentence and status 2', async (args, re) => {
    const r = await call('section', ...args);
    expect(r.code).toBe(2);
    expect(r.err).toMatch(re);
    expect(r.err.trim().split('\n')).toHaveLength(1);
    expect(r.out).toBe('');
  });
});
