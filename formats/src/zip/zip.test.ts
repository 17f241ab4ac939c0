import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { ZipFile } from 'yazl';
import { openZip, ZipError } from './index';

const dir = mkdtempSync(join(tmpdir(), 'zip-'));
afterAll(() => rmSync(dir, { recursive: true }));

async function zipOf(parts: Record<string, Buffer>): Promise<Buffer> {
  const zip = new ZipFile();
  for (const [name, data] of Object.entries(parts)) zip.addBuffer(data, name);
  zip.end();
  const chunks: Buffer[] = [];
  for await (const c of zip.outputStream) chunks.push(c as Buffer);
  return Buffer.concat(chunks);
}
const onDisk = (bytes: Buffer) => {
  const path = join(dir, 'f.zip');
  writeFileSync(path, bytes);
  return path;
};

describe('a zip from outside', () => {
  it('gives its parts back byte for byte', async () => {
    const data = Buffer.from([0, 255, 13, 10, 128]);
    const zip = await openZip(onDisk(await zipOf({ 'a/b.bin': data, c: Buffer.from('x') })));
    expect(zip.has('a/b.bin')).toBe(true);
    expect((await zip.bytes('a/b.bin', 10)).equals(data)).toBe(true);
    await expect(zip.bytes('none', 10)).rejects.toThrow(/missing/);
    zip.close();
  });
  it('a part larger than said is not unpacked (a megabyte of nothing packs into a kilobyte)', async () => {
    const bytes = await zipOf({ bomb: Buffer.alloc(1e6) });
    expect(bytes.length).toBeLessThan(3000);
    const zip = await openZip(onDisk(bytes));
    await expect(zip.bytes('bomb', 1e5)).rejects.toThrow(/larger than 0.1 MB/);
    zip.close();
  });
  it('law: cut or changed anywhere it is refused with a sentence, or what it gives is whole', async () => {
    const data = Buffer.from('the same bytes '.repeat(40));
    const whole = await zipOf({ part: data });
    for (let i = 0; i < whole.length; i += 3) {
      const bad = Buffer.from(whole);
      bad[i]! ^= 0x55;
      for (const bytes of [bad, whole.subarray(0, i)])
        try {
          const zip = await openZip(onDisk(bytes));
          const back = zip.has('part') ? await zip.bytes('part', 1e4) : data;
          zip.close();
          expect(back.equals(data)).toBe(true);
        } catch (e) {
          expect(e).toBeInstanceOf(ZipError);
          expect((e as Error).message).toMatch(/\.$/);
        }
    }
  });
});
