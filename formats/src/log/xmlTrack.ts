/** XML as a stream, handed on element by element; tracks of it as a log. */
import type { FlightLog, LogEvent } from '@skiametra/core/log';
import { SaxesParser } from 'saxes';
import type { Growing } from './grow';

/** What a format makes of its elements, by their local names. */
export interface XmlReader {
  open(name: string, attributes: Record<string, string>): void;
  says(text: string): void;
  close(name: string): void;
}

const local = (name: string) => name.slice(name.indexOf(':') + 1);

/** @throws RangeError where it is no whole XML */
export async function readXml(pieces: AsyncIterable<string>, r: XmlReader): Promise<void> {
  const parser = new SaxesParser();
  let wrong: Error | null = null;
  parser.on('error', (e) => (wrong ??= e));
  parser.on('opentag', ({ name, attributes }) => r.open(local(name), attributes));
  parser.on('text', (text) => r.says(text));
  parser.on('cdata', (text) => r.says(text));
  parser.on('closetag', ({ name }) => r.close(local(name)));
  for await (const piece of pieces) {
    parser.write(piece);
    if (wrong) break;
  }
  if (!wrong) parser.close();
  if (wrong) throw new RangeError(`The file is no whole XML: ${(wrong as Error).message}.`);
}

/**
 * Columns with times in seconds since 1970 as a log that begins with its first.
 * @throws RangeError without a point that has a time
 */
export function trackLog(
  columns: Readonly<Record<string, Growing>> & { readonly t: Growing },
  events: readonly LogEvent[] = [],
): FlightLog {
  const { t, ...rest } = columns,
    times = t.taken(),
    first = times.find((v) => Number.isFinite(v));
  if (first === undefined)
    throw new RangeError(
      times.length > 0
        ? 'The points of this track have no times: a drawn route says nothing of a flight.'
        : 'The file holds no track.',
    );
  const channels = Object.entries(rest).flatMap(([id, of]) =>
    of.taken().some(Number.isFinite) ? [[id, of.taken()] as const] : [],
  );
  return {
    t: times.map((v) => v - first),
    channels: Object.fromEntries(channels),
    events: events.map((e) => ({ ...e, t: e.t - first })),
    begun: new Date(first * 1000).toISOString(),
  };
}
