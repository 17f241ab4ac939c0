/** A stream of bytes as lines of text, never held whole: the coding told from its beginning, progress told as it goes. */

export type Bytes = AsyncIterable<Uint8Array>;

export interface Reading {
  readonly onProgress?: (bytes: number) => void;
  readonly signal?: AbortSignal;
}

/** Byte order marks; else UTF-8, and where that cannot be, the usual coding of western loggers. */
function codingOf(head: Uint8Array): string {
  if (head[0] === 0xff && head[1] === 0xfe) return 'utf-16le';
  if (head[0] === 0xfe && head[1] === 0xff) return 'utf-16be';
  try {
    // a letter may be cut in two at the end
    new TextDecoder('utf-8', { fatal: true }).decode(head, { stream: true });
    return 'utf-8';
  } catch {
    return 'windows-1252';
  }
}

/** So much is looked at before the coding is settled: a letter that tells may stand behind a long preamble. */
const TELLS = 64_000;

function joined(pieces: readonly Uint8Array[]): Uint8Array {
  const out = new Uint8Array(pieces.reduce((n, p) => n + p.byteLength, 0));
  let at = 0;
  for (const p of pieces) {
    out.set(p, at);
    at += p.byteLength;
  }
  return out;
}

/** Pieces of text of a stream. @throws the signal's reason when it is stopped */
export async function* textOf(bytes: Bytes, { onProgress, signal }: Reading = {}): AsyncGenerator<string> {
  let decoder: TextDecoder | null = null,
    first: Uint8Array[] = [],
    read = 0;
  const begin = () => {
    const head = joined(first);
    first = [];
    decoder = new TextDecoder(codingOf(head));
    return decoder.decode(head, { stream: true });
  };
  for await (const piece of bytes) {
    signal?.throwIfAborted();
    read += piece.byteLength;
    if (decoder) yield (decoder as TextDecoder).decode(piece, { stream: true });
    else if (first.push(piece) && read >= TELLS) yield begin();
    onProgress?.(read);
  }
  if (!decoder) yield begin();
  const rest = (decoder as TextDecoder | null)?.decode();
  if (rest) yield rest;
}

/** No line of a log is longer; a file without line ends is none. */
const LONGEST = 100_000;

/** Whole lines, a batch for every piece that is read. @throws RangeError where a line has no end */
export async function* linesOf(pieces: AsyncIterable<string>): AsyncGenerator<string[]> {
  let rest = '';
  for await (const piece of pieces) {
    const lines = (rest + piece).split(/\r\n|\n|\r(?!$)/);
    rest = lines.pop()!;
    if (rest.length > LONGEST) throw new RangeError('A line of this file has no end: it is no log of text.');
    yield lines;
  }
  if (rest !== '') yield [rest];
}

/** The beginning of a stream, and a stream that still has all of it. */
export async function peek(
  pieces: AsyncIterable<string>,
  letters: number,
): Promise<{ head: string; whole: boolean; again: AsyncIterable<string> }> {
  const it = pieces[Symbol.asyncIterator](),
    first: string[] = [];
  let count = 0,
    whole = false;
  while (count < letters) {
    const next = await it.next();
    if (next.done) {
      whole = true;
      break;
    }
    first.push(next.value);
    count += next.value.length;
  }
  async function* again(): AsyncGenerator<string> {
    yield* first;
    if (!whole) for (let n = await it.next(); !n.done; n = await it.next()) yield n.value;
  }
  return { head: first.join('').slice(0, letters), whole: whole && count <= letters, again: again() };
}
