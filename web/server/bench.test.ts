import { powertrainOf } from '@skiametra/core/design';
import { describe, expect, it } from 'vitest';
import { bitternDocument } from '@skiametra/core/demo';
import { serveStand } from '@skiametra/devices/stand';
import { POST } from '../app/api/bench/route';

const power = powertrainOf(bitternDocument().design);
const ask = (body: unknown, signal: AbortSignal | null = null) =>
  POST(
    new Request('http://127.0.0.1/api/bench', {
      method: 'POST',
      body: typeof body === 'string' ? body : JSON.stringify(body),
      signal,
    }),
  );
const plan = { power, throttles: [0.5, 1], hold: 1, repeats: 1, tare: true, seed: 3 };

describe('bench route', () => {
  it('streams a run step by step and says that it is done', async () => {
    const lines = (await (await ask(plan)).text())
      .trim()
      .split('\n')
      .map((l) => JSON.parse(l) as { step?: number; rows?: number[][]; done?: boolean });
    expect(lines.map((l) => l.step ?? l.done)).toEqual([0, 1, 2, 3, true]);
    expect(lines[2]!.rows!.length).toBe(10);
    expect(lines[2]!.rows![9]![4]).toBeGreaterThan(5);
  });
  it('refuses what is not a run, in a sentence', async () => {
    expect((await ask('{')).status).toBe(400);
    expect((await ask({ ...plan, repeats: 99 })).status).toBe(400);
    expect(((await (await ask({ ...plan, power: {} })).json()) as { message: string }).message).toMatch(
      /Not a bench run: power/,
    );
    expect((await ask('x'.repeat(200_001))).status).toBe(413);
  });
  it('a page that goes away stops it', async () => {
    const end = new AbortController(),
      response = await ask({ ...plan, hold: 20, repeats: 5 }, end.signal),
      reader = response.body!.getReader();
    await reader.read();
    end.abort();
    await expect(
      Promise.race([
        (async () => {
          while (!(await reader.read()).done);
          return 'ended';
        })().catch(() => 'ended'),
        new Promise((r) => setTimeout(() => r('still running'), 4000)),
      ]),
    ).resolves.toBe('ended');
  });
  it('uses a stand that already listens, and says when none does', async () => {
    const own = await serveStand(0, { seed: 9 });
    process.env.STAND_PORT = String(own.port);
    try {
      expect(await (await ask(plan)).text()).toMatch(/"done":true/);
      await own.close();
      expect(await (await ask(plan)).text()).toMatch(/does not answer|hung up/);
    } finally {
      delete process.env.STAND_PORT;
    }
  });
});
