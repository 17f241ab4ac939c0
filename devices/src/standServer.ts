/** The stand as a program behind a local socket, and the sequence that is run on it. Loopback only. */
import { createServer, connect, type Server, type Socket } from 'node:net';
import type { BenchRow, Powertrain } from '@skiametra/core/design';
import { ThrustStand, WATCHDOG, type StandTruth } from './thrustStand';

const LONGEST_LINE = 200_000;

interface StandOptions {
  seed?: number;
  /** milliseconds a reading takes, so that progress can be seen */ pace?: number;
  truth?: StandTruth;
}

/** One caller at the stand: lines answered in order, the motor stopped when nobody speaks or the line is cut. */
function attend(socket: Socket, options: StandOptions): void {
  const stand = new ThrustStand(options.seed ?? 1, undefined, options.truth);
  let rest = '',
    queue = Promise.resolve(),
    heard = Date.now();
  const watchdog = setInterval(() => {
    if (stand.turning && Date.now() - heard > WATCHDOG) stand.trip();
  }, WATCHDOG / 10);
  const answer = async (line: string) => {
    if (options.pace && line.startsWith('READ')) await new Promise((r) => setTimeout(r, options.pace));
    const said = line.trim() === '' ? [] : stand.command(line);
    if (!socket.destroyed && said.length) socket.write(`${said.join('\n')}\n`);
  };
  socket.setEncoding('utf8');
  socket.on('error', () => undefined);
  socket.on('close', () => {
    clearInterval(watchdog);
    stand.command('STOP');
  });
  socket.on('data', (chunk: string) => {
    heard = Date.now();
    rest += chunk;
    if (rest.length > LONGEST_LINE) {
      socket.end('ERR the line is too long\n');
      return;
    }
    const lines = rest.split('\n');
    rest = lines.pop()!;
    for (const line of lines) queue = queue.then(() => answer(line));
  });
}

/**
 * Serves the stand on 127.0.0.1, to one caller at a time: whoever comes while it is held is told so.
 * @param port 0 for a free one
 */
export async function serveStand(
  port = 0,
  options: StandOptions = {},
): Promise<{ server: Server; port: number; close(): Promise<void> }> {
  const sockets = new Set<Socket>();
  const server = createServer((socket) => {
    if (sockets.size > 0) {
      socket.on('error', () => undefined);
      socket.resume();
      socket.end('ERR somebody else holds the stand\n');
      return;
    }
    sockets.add(socket);
    socket.on('close', () => sockets.delete(socket));
    attend(socket, options);
  });
  await new Promise<void>((done, failed) => {
    server.once('error', failed);
    server.listen(port, '127.0.0.1', done);
  });
  const at = server.address();
  return {
    server,
    port: typeof at === 'object' && at ? at.port : port,
    close: () =>
      new Promise((done) => {
        for (const s of sockets) s.destroy();
        server.close(() => done());
      }),
  };
}

export interface StandPlan {
  power: Powertrain;
  throttles: readonly number[];
  /** [s] a step */ hold: number;
  repeats: number;
  tare: boolean;
}
export type StandEvent = { run: number; step: number; steps: number; rows: BenchRow[] };

/** A stand that said no, or did not answer. */
export class StandError extends Error {}

/** Most that is taken from a stand: a line, and all of a run [characters]. */
const LONGEST_ANSWER = 400,
  LONGEST_RUN = 40_000_000;
const SILENCE = 15_000,
  STOP_WAIT = 2000,
  ALIVE_EVERY = 300;

type Reader = (until: (line: string) => boolean) => Promise<string[]>;

/** Text lines of a socket, asked one at a time; what is too long, too late or cut off fails with a sentence. */
function lineReader(socket: Socket): { read: Reader; fail(sentence: string): void } {
  let rest = '',
    taken = 0,
    failed: Error | null = null,
    wake: (() => void) | null = null;
  const ready: string[] = [];
  const fail = (sentence: string) => {
    failed ??= new StandError(sentence);
    wake?.();
  };
  socket.setEncoding('utf8');
  socket.on('data', (c: string) => {
    rest += c;
    taken += c.length;
    const l = rest.split('\n');
    rest = l.pop()!;
    ready.push(...l);
    if (taken > LONGEST_RUN || rest.length > LONGEST_ANSWER)
      return fail('The stand says more than any stand does; it was stopped.');
    wake?.();
  });
  socket.on('error', (e) => fail(`The stand does not answer: ${e.message}.`));
  socket.on('close', () => fail('The stand hung up.'));
  socket.setTimeout(SILENCE, () => fail(`The stand has not answered for ${SILENCE / 1000} seconds.`));
  const read: Reader = async (until) => {
    const out: string[] = [];
    for (;;) {
      while (ready.length) {
        const line = ready.shift()!;
        out.push(line);
        if (line.startsWith('ERR')) throw new StandError(`The stand says: ${line.slice(4)}.`);
        if (until(line)) return out;
      }
      if (failed) throw failed;
      await new Promise<void>((r) => {
        wake = r;
      });
    }
  };
  return { read, fail };
}

/** Tells the stand to stop and waits until it says that it has, for two seconds at most; then hangs up. */
function stopped(socket: Socket): Promise<void> {
  return new Promise((done) => {
    if (socket.destroyed) return done();
    const end = () => {
      clearTimeout(late);
      socket.destroy();
      done();
    };
    const late = setTimeout(end, STOP_WAIT);
    let heard = '';
    socket.on('data', (c: string) => {
      heard = (heard + c).slice(-200);
      if (heard.includes('OK stopped')) end();
    });
    socket.on('close', end);
    socket.on('end', end);
    socket.write('STOP\n');
  });
}

/** One reading as a row, or null when it is not of the form. Rpm to rad/s, Celsius to K. */
export function rowOf(line: string): BenchRow | null {
  const v = line.split(' ').slice(1).map(Number);
  if (!line.startsWith('D ') || v.length !== 7 || !v.every(Number.isFinite)) return null;
  const [time, throttle, volts, amps, thrust, rpm, celsius] = v as [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  return [time, throttle, volts, amps, thrust, (rpm * Math.PI) / 30, celsius + 273.15];
}

/** Longest that a run may take altogether [ms]: four times what it should, and half a minute. */
const deadlineOf = (plan: StandPlan) =>
  30_000 + 4000 * plan.repeats * (plan.throttles.length + 2) * Math.max(1, plan.hold);

/** The steps themselves, asked of a stand that answers. */
async function* steps(socket: Socket, read: Reader, plan: StandPlan): AsyncGenerator<StandEvent> {
  const ask = async (line: string) => {
    socket.write(`${line}\n`);
    return (await read(() => true))[0];
  };
  if (!(await ask('HELLO'))!.startsWith('STAND 1'))
    throw new StandError('What answers there is not a thrust stand of this kind.');
  await ask(`FIT ${JSON.stringify(plan.power)}`);
  const count = Math.max(5, Math.round(plan.hold * 10)),
    list = [0, ...plan.throttles, 0];
  for (let run = 0; run < plan.repeats; run++) {
    if (plan.tare) await ask('TARE');
    await ask('ARM');
    for (const [step, throttle] of list.entries()) {
      await ask(`THROTTLE ${throttle}`);
      const asked = throttle === 0 ? Math.min(20, count) : count;
      socket.write(`READ ${asked}\n`);
      let lines = 0;
      const said = await read((l) => l === 'END' || ++lines > asked);
      if (said.at(-1) !== 'END') throw new StandError('The stand says more than it was asked for.');
      const rows = said.map(rowOf).filter((r) => r !== null);
      yield { run, step, steps: list.length, rows };
    }
    await ask('STOP');
  }
}

/**
 * Runs throttle steps on a stand: motor off, steps, motor off, so often as asked. At the end, when it fails and when it is
 * aborted the motor is stopped, and the stand's word that it is is waited for.
 * @throws StandError
 */
export async function* runStand(
  port: number,
  plan: StandPlan,
  signal?: AbortSignal,
): AsyncGenerator<StandEvent> {
  const socket = connect(port, '127.0.0.1');
  const { read, fail } = lineReader(socket);
  const abort = () => fail('The run was stopped.');
  signal?.addEventListener('abort', abort);
  const late = setTimeout(
    () => fail('The run takes far longer than it should; it was stopped.'),
    deadlineOf(plan),
  );
  // the stand stops a motor when nobody speaks
  const alive = setInterval(() => socket.writable && socket.write('ALIVE\n'), ALIVE_EVERY);
  try {
    if (signal?.aborted) abort();
    yield* steps(socket, read, plan);
  } finally {
    clearTimeout(late);
    clearInterval(alive);
    signal?.removeEventListener('abort', abort);
    await stopped(socket);
  }
}
