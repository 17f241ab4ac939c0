/** Large bodies go to a file of this machine while they stream: never into one string. */
import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { Readable, Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';

class TooLarge extends Error {}

/** Writes the body to a file of its own. @returns its path; null when it is longer than `most` bytes */
export async function receive(request: Request, most: number): Promise<string | null> {
  if (Number(request.headers.get('content-length') ?? 0) > most || !request.body) return null;
  const path = join(await mkdtemp(join(tmpdir(), 'skiametra-')), 'file');
  let size = 0;
  const count = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      size += chunk.length;
      done(size > most ? new TooLarge() : null, chunk);
    },
  });
  try {
    await pipeline(Readable.fromWeb(request.body as never), count, createWriteStream(path));
    return path;
  } catch (e) {
    await removeReceived(path);
    if (e instanceof TooLarge) return null;
    throw e;
  }
}

export const removeReceived = (path: string) => rm(dirname(path), { recursive: true, force: true });
