/** The stand as a program behind a local socket, and the sequence that is run on it. Loopback only. */
import { createServer, connect, type Server, type Socket } from 'node:net';
import type { BenchRow, Design } from '@skiametra/core/design';
import { ThrustStand, type StandTruth } from './thrustStand';

const LONGEST_LINE = 200_000;

/**
 * Serves a stand of its own to every caller on 127.0.0.1.
 * @param port 0 for a free one @param pace milliseconds a reading takes, so that progress can be seen
 */
export async function serveStand(
  port = 0,
  options: { seed?: number; pace?: number; truth?: StandTruth } = {},
): Promise<{ server: Server; port: number; close(): Promise<void> }> {
  const sockets = new Set<Socket>();
  const server = createServer((socket) => {
    sockets.add(socket);
    const stand = new ThrustStand(options.seed ?? 1, undefined, options.truth);
    let rest = '',
      queue = Promise.resolve();
    socket.setEncoding('utf8');
    socket.on('error', () => undefined);
    socket.on('close', () => {
      sockets.delete(socket);
      stand.command('STOP');
    });
    socket.on('data', (chunk: string) => {
      rest += chunk;
      if (rest.length > LONGEST_LINE) {
        socket.end('ERR the line is too long\n');
        return;
      }
      const lines = rest.split('\n');
      rest = lines.pop()!;
      for (const line of lines)
        queue = queue.then(async () => {
          if (options.pace && line.startsWith('READ')) await new Promise((r) => setTimeout(r, options.pace));
          if (!socket.destroyed && line.trim() !== '') socket.write(`${stand.command(line).join('\n')}\n`);
        });
    });
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
  power: Design['power'];
  throttles: readonly number[];
  /** [s] a step */ hold: number;
  repeats: number;
  tare: boolean;
}
export type StandEvent = { run: number; step: number; steps: number; rows: BenchRow[] };

/** A stand that said no, or did not answer. */
export class StandError extends Error {}

/** Text lines of a socket, asked one at a time. */
function lineReader(socket: Socket): (until: (line: string) => boolean) => Promise<string[]> {
  let rest = '',
    failed: Error | null = null,
    wake: (() => void) | null = null;
  const ready: string[] = [];
  socket.setEncoding('utf8');
  socket.on('data', (c: string) => {
    rest += c;
    const l = rest.split('\n');
    rest = l.pop()!;
    ready.push(...l);
    wake?.();
  });
  socket.on('error', (e) => {
    failed = new StandError(`The stand does not answer: ${e.message}.`);
    wake?.();
  });
  socket.on('close', () => {
    failed ??= new StandError('The stand hung up.');
    wake?.();
  });
  socket.setTimeout(15_000, () => {
    failed = new StandError('The stand has not answered for 15 seconds.');
    socket.destroy();
    wake?.();
  });
  return async (until) => {
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
}

/** One reading as a row, or null when it is not of the form. Rpm to rad/s, Celsius to K. */
export function rowOf(line: string): BenchRow | null {
  const v = line.split(' ').slice(1).map(Number);
  if (!line.startsWith('D ') || v.length !== 7 || !v.every(Number.isFinite)) return null;
  return [v[0], v[1], v[2], v[3], v[4], (v[5] * Math.PI) / 30, v[6] + 273.15];
}

/**
 * Runs throttle steps on a stand: motor off, steps, motor off, so often as asked. Always stops the motor at the end, also
 * when it fails or is aborted.
 * @throws StandError
 */
export async function* runStand(
  port: number,
  plan: StandPlan,
  signal?: AbortSignal,
): AsyncGenerator<StandEvent> {
  const socket = connect(port, '127.0.0.1');
  const read = lineReader(socket),
    stop = () => {
      socket.destroy();
    };
  signal?.addEventListener('abort', stop);
  const ask = async (line: string) => {
    socket.write(`${line}\n`);
    return (await read(() => true))[0];
  };
  try {
    if (!(await ask('HELLO')).startsWith('STAND 1'))
      throw new StandError('What answers there is not a thrust stand of this kind.');
    await ask(`FIT ${JSON.stringify(plan.power)}`);
    const count = Math.max(5, Math.round(plan.hold * 10)),
      list = [0, ...plan.throttles, 0];
    for (let run = 0; run < plan.repeats; run++) {
      if (plan.tare) await ask('TARE');
      await ask('ARM');
      for (const [step, throttle] of list.entries()) {
        await ask(`THROTTLE ${throttle}`);
        socket.write(`READ ${throttle === 0 ? Math.min(20, count) : count}\n`);
        const lines = await read((l) => l === 'END');
        yield {
          run,
          step,
          steps: list.length,
          rows: lines.flatMap((l) => {
            const r = rowOf(l);
            return r ? [r] : [];
          }),
        };
      }
      await ask('STOP');
    }
  } finally {
    signal?.removeEventListener('abort', stop);
    if (!socket.destroyed) socket.end('STOP\n');
  }
}
