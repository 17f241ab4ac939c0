import { mkdtempSync, writeFileSync } from 'node:fs';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import { main } from './main';

const dir = mkdtempSync(join(tmpdir(), 'skia-power-'));
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
const json = async (...args: string[]) => {
  const r = await call(...args);
  expect(r.err).toBe('');
  return JSON.parse(r.out);
};

beforeAll(async () => {
  for (const d of ['bittern', 'crane', 'gnat', 'wafer']) writeFileSync(file(d), (await call('demo', d)).out);
});

describe('skia power', () => {
  it('prints the operating point of the one propeller, its limits and the static card', async () => {
    const r = await json('power', file('bittern'), '--throttle', '0.8', '--speed', '12', '--soc', '0.7');
    expect(r.propulsors).toHaveLength(1);
    expect(Object.keys(r.propulsors[0])).toEqual([
      'name',
      'thrust',
      'rpm',
      'torque',
      'current',
      'voltage',
      'powerElectric',
      'powerShaft',
      'efficiency',
      'limits',
    ]);
    const p = r.propulsors[0];
    expect(p.powerShaft).toBeCloseTo((p.torque * p.rpm * Math.PI) / 30, 0);
    expect(p.powerShaft).toBeLessThan(p.powerElectric);
    expect(p.limits.every((l: { ok: boolean }) => l.ok)).toBe(true);
    expect(r.total.thrust).toBeCloseTo(p.thrust, 6);
    expect(r.static.thrust).toBeGreaterThan(p.thrust);
  });
  it('of the Crane: cruise and four lift rotors; total is their sum', async () => {
    const r = await json('power', file('crane'));
    expect(r.propulsors.map((p: { name: string }) => p.name)).toEqual([
      'Cruise',
      'Lift 1',
      'Lift 2',
      'Lift 3',
      'Lift 4',
    ]);
    expect(r.total.thrust).toBeCloseTo(
      r.propulsors.reduce((s: number, p: { thrust: number }) => s + p.thrust, 0),
      1,
    );
    expect(r.static.parts[1].thrustToWeight).toBeGreaterThan(2);
  });
  it('less charge, less thrust', async () =>
    expect((await json('power', file('bittern'), '--soc', '0.1')).total.thrust).toBeLessThan(
      (await json('power', file('bittern'), '--soc', '1')).total.thrust,
    ));
  it.each([
    [['power'], /Name a file/],
    [['power', 'F', '--throttle', '2'], /--throttle takes a number from 0.01 to 1/],
    [['power', 'F', '--speed', 'fast'], /--speed takes/],
    [['power', 'F', '--soc', '-1'], /--soc takes/],
    [['power', 'W'], /glider/],
    [['power', 'G'], /rubber/],
  ])('%j is refused in a sentence', async (args, why) => {
    const r = await call(
      ...(args as string[]).map((a) =>
        a === 'F' ? file('bittern') : a === 'W' ? file('wafer') : a === 'G' ? file('gnat') : a,
      ),
    );
    expect(r.code).toBe(2);
    expect(r.err).toMatch(why);
  });
});

describe('skia propeller', () => {
  it('prints coefficients that belong together', async () => {
    const r = await json(
      'propeller',
      '--diameter-in',
      '10',
      '--pitch-in',
      '5',
      '--blades',
      '2',
      '--family',
      'thin-electric',
      '--rpm',
      '6000',
      '--speed',
      '10',
    );
    const n = 100,
      D = 0.254;
    expect(r.J).toBeCloseTo(10 / (n * D), 5);
    expect(r.thrust).toBeCloseTo(r.CT * 1.225 * n * n * D ** 4, 2);
    expect(r.power).toBeCloseTo((r.torque * 6000 * Math.PI) / 30, 2);
    expect(r.eta).toBeCloseTo((r.J * r.CT) / r.CP, 3);
  });
  it.each([
    [['--pitch-in', '5', '--rpm', '1'], /--diameter-in/],
    [['--diameter-in', '10', '--pitch-in', '5', '--rpm', '0'], /--rpm/],
    [['--diameter-in', '10', '--pitch-in', '5', '--rpm', '5000', '--family', 'feather'], /no blade family/],
    [
      ['--diameter-in', '10', '--pitch-in', '5', '--rpm', '5000', '--blades', '2.5'],
      /--blades takes 2, 3 or 4/,
    ],
  ])('%j is refused', async (args, why) => {
    const r = await call('propeller', ...args);
    expect(r.code).toBe(2);
    expect(r.err).toMatch(why);
  });
});

describe('skia rubber', () => {
  it('prints the run of a design, of a motor alone, and of a motor with an aircraft', async () => {
    const own = await json('rubber', file('gnat'));
    expect(own.run.length).toBeGreaterThan(50);
    // outdoors there is no roof over it
    expect(own.flight.peak).toBeGreaterThan(9);
    expect(
      (await json('rubber', '--width-mm', '3.2', '--strands', '6', '--length-mm', '527')).motor.breakTurns,
    ).toBeGreaterThan(900);
    const flown = await json(
      'rubber',
      '--width-mm',
      '1.92',
      '--strands',
      '2',
      '--length-mm',
      '380',
      '--mass-g',
      '5',
      '--area-dm2',
      '6.3',
      '--diameter-in',
      '13.4',
      '--pitch-in',
      '20.5',
      '--ceiling',
      '9',
    );
    expect(flown.flight.time).toBeGreaterThan(30);
  });
  it.each([
    [['--strands', '2'], /--width-mm/],
    [['--width-mm', '2', '--strands', '2.5', '--length-mm', '400'], /whole number/],
    [[], /--width-mm/],
  ])('%j is refused', async (args, why) => {
    const r = await call('rubber', ...args);
    expect(r.code).toBe(2);
    expect(r.err).toMatch(why);
  });
  it('a design without rubber says so', async () =>
    expect((await call('rubber', file('bittern'))).err).toMatch(/no rubber motor/));
});

describe('skia stand', () => {
  it('answers on its socket until it is told to end', async () => {
    let told = '';
    const end = new AbortController();
    const running = main(
      ['stand', '--port', '48211'],
      {
        write: (t) => {
          told += t;
        },
      },
      { write: () => undefined },
      end.signal,
    );
    await expect.poll(() => told).toMatch(/listens at 127\.0\.0\.1:48211/);
    const answer = await new Promise<string>((done) => {
      const s = connect(48211, '127.0.0.1', () => s.write('HELLO\n'));
      s.setEncoding('utf8');
      s.on('data', (d: string) => {
        s.destroy();
        done(d);
      });
    });
    expect(answer).toBe('STAND 1 rate=10\n');
    expect((await call('stand', '--port', '48211')).err).toMatch(/in use/);
    end.abort();
    expect(await running).toBe(0);
  });
});
