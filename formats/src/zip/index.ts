/** Reading a zip from a file of this machine, a part at a time and no larger than said. For programs, not for pages. */
import { openPromise, type Entry, type ZipFile } from 'yauzl';

/** A file that is no zip, is damaged, or holds too much: a sentence for the person. */
export class ZipError extends Error {}

const MOST_ENTRIES = 60_000;

export interface OpenZip {
  has(name: string): boolean;
  /** A part as it was before it was packed. @param most [bytes] @throws ZipError */
  bytes(name: string, most: number): Promise<Buffer>;
  close(): void;
}

async function listed(zip: ZipFile): Promise<Map<string, Entry>> {
  const out = new Map<string, Entry>();
  for await (const e of zip.eachEntry()) {
    out.set(e.fileName, e);
    if (out.size > MOST_ENTRIES) throw new ZipError('The file holds more parts than any project.');
  }
  return out;
}

const damaged = () => new ZipError('The file is damaged or not a whole zip; it may have been cut short.');

/** Opens a zip and reads its list of parts. @throws ZipError */
export async function openZip(path: string): Promise<OpenZip> {
  const zip = await openPromise(path, { autoClose: false, lazyEntries: true }).catch(() => {
    throw damaged();
  });
  const entries = await listed(zip).catch((e: unknown) => {
    zip.close();
    throw e instanceof ZipError ? e : damaged();
  });
  return {
    has: (name) => entries.has(name),
    close: () => zip.close(),
    async bytes(name, most) {
      const entry = entries.get(name);
      if (!entry) throw new ZipError(`The part ${name} is missing in it.`);
      // what is said of its size is held to while it is unpacked
      if (entry.uncompressedSize > most)
        throw new ZipError(`The part ${name} is larger than ${most / 1e6} MB.`);
      const chunks: Buffer[] = [];
      try {
        for await (const c of await zip.openReadStreamPromise(entry)) chunks.push(c as Buffer);
      } catch {
        throw damaged();
      }
      return Buffer.concat(chunks);
    },
  };
}
