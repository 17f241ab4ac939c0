import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { bitternDocument } from '@skiametra/core/demo';
import { main } from './main';

const folder = mkdtempSync(join(tmpdir(), 'skia-trade-'));
afterAll(() => rmSync(folder, { recursive: true }));
const bittern = join(folder, 'bittern.json');
writeFileSync(bittern, JSON.stringify(bitternDocument()));

async function skia(...args: string[]) {
  let out = '',
    err = '';
  const status = await main(args, { write: (s: string) => (out += s) }, { write: (s: string) => (err += s) });
  return { status, out, err };
}
interface Line {
  at: Record<string, number>;
  show: Record<string, number | null>;
  feasible: boolean;
  limits: string[];
}
const lines = (out: string) =>
  out
    .trim()
    .split('\n')
    .map((l) => JSON.parse(l) as Line);

describe('skia sweep', () => {
  it('one line a cell, the first input running fastest', async () => {
    const { status, out } = await skia(
      ...['sweep', bittern, '--vary', 'design.flight.lapThrottle=0.6:0.8:3'],
      ...['--vary', 'design.states.tubes-8.count=8:12:2', '--show', 'score,groundRun'],
    );
    expect(status).toBe(0);
    const cells = lines(out);
    expect(cells).toHaveLength(6);
    expect(cells.map((c) => c.at['design.flight.lapThrottle'])).toEqual([0.6, 0.7, 0.8, 0.6, 0.7, 0.8]);
    expect(Object.keys(cells[0]!.show)).toEqual(['score', 'groundRun']);
    expect(cells.every((c) => c.feasible === (c.limits.length === 0))).toBe(true);
    expect(cells[5]!.limits).toContain('Ground run');
  });
  it('a choice needs no range', async () => {
    const { out } = await skia('sweep', bittern, '--vary', 'part:propeller', '--show', 'topSpeed');
    expect(lines(out).length).toBeGreaterThan(1);
  });
  it.each([
    [[], /one or two inputs/],
    [['--vary', 'design.nothing=1:2:3'], /no number of this design/],
    [['--vary', 'design.flight.lapThrottle=0.5:1.4:3'], /must be at most 1/],
    [['--vary', 'design.flight.lapThrottle=0.5'], /takes lo:hi:n/],
    [['--vary', 'design.flight.lapThrottle=0.5:0.9:2.5'], /whole number/],
    [['--vary', 'span:wing=1:2:500', '--vary', 'chord:wing=0.2:0.3:500'], /more than the/],
    [['--vary', 'span:wing=1:2:3', '--show', 'beauty'], /no quantity/],
    [['--vary', 'span:wing=1:2:3', '--show', 'mass@moon'], /no state “moon”/],
    [['--vary', 'span:wing=1:2:3', '--vary', 'span:wing=1:2:3'], /same input/],
  ] as const)('%j: one sentence, status 2', async (args, message) => {
    const { status, out, err } = await skia('sweep', bittern, ...args);
    expect(status).toBe(2);
    expect(out).toBe('');
    expect(err).toMatch(message);
    expect(err.trim().split('\n')).toHaveLength(1);
  });
});

describe('skia worth', () => {
  it('the list, best first, and what limits the score', async () => {
    const { status, out } = await skia('worth', bittern, '--state', 'tubes-8');
    expect(status).toBe(0);
    const told = JSON.parse(out) as { limits: string; worth: { points: number; input: string }[] };
    expect(told.limits).toMatch(/^8 tubes scores \d+/);
    const points = told.worth.map((w) => w.points);
    expect(points).toEqual([...points].sort((a, b) => b - a));
    expect(told.worth.map((w) => w.input)).toContain('design.states.tubes-8.count');
  });
});
