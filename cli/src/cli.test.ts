import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import { main } from './main';

const dir = mkdtempSync(join(tmpdir(), 'skia-'));
const demo = join(dir, 'demo.json');
async function call(...args: string[]): Promise<{ code: number; out: string; err: string }> {
  let out = '', err = '';
  const code = await main(args, { write: (t) => { out += t; } }, { write: (t) => { err += t; } });
  return { code, out, err };
}

beforeAll(async () => { writeFileSync(demo, (await call('demo', 'bittern')).out); });

describe('skia', () => {
  it('assess prints the ledger, of one loading by id or name', async () => {
    const r = await call('assess', demo, '--loading', '6 tubes');
    expect(r.code).toBe(0);
    const ledger = JSON.parse(r.out) as { quantities: { id: string; state: string; value: number }[] };
    expect(new Set(ledger.quantities.map((q) => q.state))).toEqual(new Set(['all', 'tubes-6']));
    expect(ledger.quantities.find((q) => q.id === 'wingSpan')!.value).toBeCloseTo(1.6, 9);
  });
  it('assess takes a bare design document too', async () => {
    const file = join(dir, 'doc.json');
    writeFileSync(file, JSON.stringify((JSON.parse((await call('demo', 'bittern')).out) as { versions: { document: unknown }[] }).versions[0].document));
    expect((await call('assess', file)).code).toBe(0);
  });
  it('schema and log', async () => {
    expect(JSON.parse((await call('schema')).out)).toHaveProperty('properties.versions');
    const log = await call('log', demo, '--loading', 'tubes-6', '--laps', '2');
    expect(log.out.split('\n').length).toBeGreaterThan(100);
  });
  it.each([
    [['assess'], /Name a file/], [['assess', '/nowhere'], /no file/], [['assess', demo, '--loading', 'moon'], /no loading “moon”/], [['demo'], /Name a demo/], [['demo', 'constructor'], /Name a demo/], [['dance'], /not a command/], [['assess', demo, 'x'], /too many/], [['assess', '--wibble'], /wibble/], [['log', demo, '--laps', '0'], /whole number/],
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
    expect(JSON.parse(execFileSync(process.execPath, [bin, 'demo', 'bittern'], { encoding: 'utf8', maxBuffer: 1e8 }))).toHaveProperty('format', 'skiametra-project');
    expect(spawnSync(process.execPath, [bin, 'dance']).status).toBe(2);
  });
});
