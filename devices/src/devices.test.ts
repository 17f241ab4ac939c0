import { connect, createServer, type AddressInfo } from 'node:net';
import { describe, expect, it } from 'vitest';
import { bitternDocument } from '@skiametra/core/demo';
import { powertrainOf, type BenchBody } from '@skiametra/core/design';
import { cleanLog, placed, reduceFlight } from '@skiametra/core/log';
import { reduceBench } from '@skiametra/core/trial';
import { DEMO_TRUTH, LOG_FORMATS, simulateFlight, STAND_TRUTH, ThrustStand } from './index';
import { rowOf, runStand, serveStand } from './standServer';

const doc = bitternDocument();
const power = powertrainOf(doc.design);

/** Stands between a caller and a stand and writes down what the stand says. */
async function between(to: number, said: string[]): Promise<{ port: number; close(): Promise<void> }> {
  const server = createServer((near) => {
    const far = connect(to, '127.0.0.1');
    near.on('error', () => undefined);
    far.on('error', () => undefined);
    far.on('data', (d) => said.push(...String(d).trim().split('\n')));
    near.pipe(far).pipe(near);
  });
  await new Promise<void>((r) => server.listen(0, '127.0.0.1', r));
  return {
    port: (server.address() as AddressInfo).port,
    close: () => new Promise((r) => server.close(() => r())),
  };
}

describe('simulated logger', () => {
  const fly = (seed: number, laps = 3) => simulateFlight(doc, 'tubes-6', { laps, seed });
  it('is the same for a seed, another for another', () => {
    const a = LOG_FORMATS.own.write(fly(7).log);
    expect(LOG_FORMATS.own.write(fly(7).log)).toBe(a);
    expect(LOG_FORMATS.own.write(fly(8).log)).not.toBe(a);
  });
  it('its log reduces to what it flew: speed, laps, ground run, within the stated uncertainty', () => {
    const { log, truth } = fly(11, 6),
      { results } = reduceFlight(cleanLog(placed(log)).log, truth),
      got = (id: string) => results.find((r) => r.id === id)!;
    expect(got('lapTime').count).toBe(6);
    for (const id of ['lapSpeed', 'groundRun', 'climbRate'] as const)
      expect(Math.abs(got(id).value - truth[id])).toBeLessThan(3 * got(id).sigma);
  });
  it('the flown aircraft is draggier than its drawing', () => {
    expect(DEMO_TRUTH.dragArea).toBeGreaterThan(1);
    const drawn = simulateFlight(doc, 'ferry', { laps: 1, seed: 1, factors: {} });
    expect(drawn.truth.lapSpeed).toBeGreaterThan(
      simulateFlight(doc, 'ferry', { laps: 1, seed: 1 }).truth.lapSpeed,
    );
  });
});

describe('simulated thrust stand', () => {
  const fit = `FIT ${JSON.stringify(powertrainOf(doc.design))}`;
  const ready = (seed = 4) => {
    const s = new ThrustStand(seed);
    s.command(fit);
    return s;
  };
  it('speaks its protocol and refuses what is not in it', () => {
    const s = new ThrustStand(1);
    expect(s.command('HELLO')).toEqual(['STAND 1 rate=10']);
    expect(s.command('ARM')[0]).toMatch(/^ERR nothing is on/);
    expect(s.command('FIT nonsense')[0]).toMatch(/^ERR FIT takes/);
    expect(s.command('FIT {}')[0]).toMatch(/^ERR/);
    expect(s.command(fit)).toEqual(['OK fitted']);
    expect(s.command('THROTTLE 0.5')).toEqual(['ERR not armed']);
    expect(s.command('ARM')).toEqual(['OK armed']);
    expect(s.command(fit)[0]).toMatch(/^ERR disarm/);
    expect(s.command('THROTTLE 2')[0]).toMatch(/^ERR/);
    expect(s.command('READ x')[0]).toMatch(/^ERR/);
    expect(s.command('READ 0')[0]).toMatch(/^ERR/);
    expect(s.command('DROP TABLE')[0]).toMatch(/^ERR no such/);
    expect(s.command('THROTTLE 1')).toEqual(['OK']);
    expect(s.command('TARE')[0]).toMatch(/^ERR stop the motor/);
    expect(s.command('READ 3')).toHaveLength(4);
  });
  it('pulls less than computed, sags, warms, and is the same for a seed', () => {
    const run = (seed: number) => {
      const s = ready(seed);
      s.command('TARE');
      s.command('ARM');
      s.command('THROTTLE 1');
      return s
        .command('READ 60')
        .slice(0, 60)
        .map((l) => rowOf(l)!);
    };
    const rows = run(4);
    expect(run(4)).toEqual(rows);
    expect(rows[59]![4]).toBeGreaterThan(8);
    expect(rows[59]![2]).toBeLessThan(16.8);
    expect(rows[59]![6]!).toBeGreaterThan(rows[0]![6]!);
  });
  it('over its socket, with a tare that a cable spoilt, the factors that are hidden in it come back within their uncertainty', async () => {
    const stand = await serveStand(0, { seed: 5 });
    try {
      const runs: BenchBody['runs'] = [];
      for await (const e of runStand(stand.port, {
        power: powertrainOf(doc.design),
        throttles: [0.4, 0.6, 0.8, 1],
        hold: 5,
        repeats: 3,
        tare: true,
      })) {
        (runs[e.run] ??= { name: `run ${e.run + 1}`, kind: 'log', rows: [] }).rows.push(...e.rows);
      }
      const r = reduceBench(
        doc.brief,
        doc.design,
        doc.calibration,
        { propeller: null, pack: null, runs, claim: { thrust: 16.5, current: 17, volts: 16 } },
        288.15,
      );
      expect(Math.abs(r.fit!.thrust - STAND_TRUTH.thrust)).toBeLessThan(2 * r.fit!.sigma[0]);
      expect(Math.abs(r.fit!.torque - STAND_TRUTH.torque)).toBeLessThan(2 * r.fit!.sigma[1]);
      expect(Math.abs(r.fit!.loss - STAND_TRUTH.electricalLoss)).toBeLessThan(2 * r.fit!.sigma[2]);
      expect(r.remarks.join(' ')).toMatch(
        /run 2: the scale read 0\.\d+ N with the motor stopped: a wrong tare/,
      );
      expect(r.claims.join(' ')).toMatch(/Thrust: 16\.5 N claimed .* less/);
      expect(r.measurements.map((m) => m.quantity)).toEqual(['staticThrust', 'staticCurrent', 'staticRpm']);
    } finally {
      await stand.close();
    }
  });
  it('a stand that is not there, one that says no, and one of another kind are told apart', async () => {
    const first = async (port: number, power: unknown) => {
      for await (const e of runStand(port, {
        power: power as never,
        throttles: [1],
        hold: 1,
        repeats: 1,
        tare: false,
      }))
        return e;
    };
    const stand = await serveStand(0, {});
    await expect(first(stand.port, {})).rejects.toThrow(/The stand says: what is to be fitted/);
    await stand.close();
    await expect(first(stand.port, powertrainOf(doc.design))).rejects.toThrow(/does not answer/);
  });
  it('is stopped, and says so, when a run is aborted in the middle (the line was only cut)', async () => {
    const said: string[] = [];
    const stand = await serveStand(0, { pace: 40 }),
      spy = await between(stand.port, said),
      end = new AbortController();
    const run = runStand(
      spy.port,
      { power, throttles: [0.5, 0.7], hold: 1, repeats: 3, tare: false },
      end.signal,
    );
    await run.next();
    await run.next();
    end.abort();
    await expect(run.next()).rejects.toThrow(/run was stopped/);
    expect(said.at(-1)).toBe('OK stopped');
    await spy.close();
    await stand.close();
  });
  it('stops the motor by itself when nobody has spoken for a second, and must be armed again', async () => {
    const stand = await serveStand(0),
      socket = connect(stand.port, '127.0.0.1');
    const ask = (line: string) =>
      new Promise<string>((r) => {
        socket.once('data', (d) => r(String(d).trim()));
        socket.write(`${line}\n`);
      });
    await ask(`FIT ${JSON.stringify(power)}`);
    await ask('ARM');
    await ask('THROTTLE 0.6');
    await new Promise((r) => setTimeout(r, 1400));
    expect((await ask('READ 1')).split(' ')[2]).toBe('0.000');
    expect(await ask('THROTTLE 0.6')).toBe('ERR the motor was stopped: nobody spoke for a second');
    expect(await ask('ARM')).toBe('OK armed');
    expect(await ask('THROTTLE 0.6')).toBe('OK');
    // while somebody says that he is there it goes on
    for (let i = 0; i < 5; i++) {
      await new Promise((r) => setTimeout(r, 300));
      socket.write('ALIVE\n');
    }
    expect((await ask('READ 1')).split(' ')[2]).toBe('0.600');
    socket.destroy();
    await stand.close();
  });
  it('serves one caller at a time', async () => {
    const stand = await serveStand(0),
      first = connect(stand.port, '127.0.0.1');
    await new Promise((r) => first.once('connect', r));
    await new Promise((r) => setTimeout(r, 30));
    const second = runStand(stand.port, { power, throttles: [0.5], hold: 1, repeats: 1, tare: false });
    await expect(second.next()).rejects.toThrow(/somebody else holds the stand/);
    first.destroy();
    await stand.close();
  });
  it.each([
    ['endless words', () => 'x'.repeat(5000), /more than any stand/],
    [
      'endless rows',
      (l: string) => (l.startsWith('READ') ? 'D 0 0 0 0 0 0 0\n'.repeat(99) : 'STAND 1\n'),
      /asked for/,
    ],
  ])('a stand of %s is left', async (_what, says, sentence) => {
    const server = createServer((s) => {
      s.on('error', () => undefined);
      s.on('data', (d) => {
        for (const l of String(d).split('\n')) if (l && l !== 'ALIVE') s.write(says(l));
      });
    });
    await new Promise<void>((r) => server.listen(0, '127.0.0.1', r));
    const { port } = server.address() as AddressInfo;
    const run = runStand(port, { power, throttles: [0.5], hold: 1, repeats: 1, tare: false });
    await expect(run.next()).rejects.toThrow(sentence);
    server.close();
  });
  it('throttle does not stay up when the caller hangs up', () => {
    const s = ready();
    s.command('ARM');
    s.command('THROTTLE 1');
    s.command('STOP');
    expect(s.command('THROTTLE 1')[0]).toMatch(/ERR not armed/);
  });
});
