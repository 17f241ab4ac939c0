/**
 * Runs the thrust stand for the page: the built-in simulated one on a free local port, or one already listening at
 * STAND_PORT.
 */
import { z } from 'zod';
import { drivePartsSchema } from '@skiametra/core/design';
import { runStand, serveStand, StandError } from '@skiametra/devices/stand';

export const benchRequestSchema = z.strictObject({
  power: drivePartsSchema,
  throttles: z.array(z.number().min(0.05).max(1)).min(1).max(20),
  hold: z.number().min(1).max(20),
  repeats: z.int().min(1).max(5),
  tare: z.boolean(),
  seed: z.int().min(1).max(1e9),
});
export type BenchRequest = z.infer<typeof benchRequestSchema>;

/** Milliseconds that one reading takes, so that a run can be watched and stopped. */
const PACE = 90;

const outsidePort = (): number | null => {
  const n = Number(process.env.STAND_PORT);
  return Number.isInteger(n) && n >= 1024 && n <= 65535 ? n : null;
};

/** Whether a page is at the outside stand: there is one of it. */
let held = false;

/** The run as lines of JSON: `{run, step, steps, rows}` each, at the end `{done: true}` or `{error}`. */
export function benchStream(request: BenchRequest, signal: AbortSignal): ReadableStream<Uint8Array> {
  const text = new TextEncoder(),
    end = new AbortController();
  signal.addEventListener('abort', () => end.abort());
  return new ReadableStream({
    async start(controller) {
      const put = (v: unknown) => {
        if (!end.signal.aborted) controller.enqueue(text.encode(`${JSON.stringify(v)}\n`));
      };
      const outside = outsidePort();
      if (outside !== null && held) {
        put({ error: 'Another page is running the stand.' });
        controller.close();
        return;
      }
      held = outside !== null;
      const own = outside === null ? await serveStand(0, { seed: request.seed, pace: PACE }) : null;
      try {
        for await (const event of runStand(outside ?? own!.port, request!, end.signal)) put(event);
        put({ done: true });
      } catch (e) {
        put({ error: e instanceof StandError ? e.message : 'The stand stopped in the middle of the run.' });
      } finally {
        if (outside !== null) held = false;
        await own?.close();
        try {
          controller.close();
        } catch {
          /* the page has gone */
        }
      }
    },
    cancel() {
      end.abort();
    },
  });
}
