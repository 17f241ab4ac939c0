/** A log of any make: the beginning is looked at, columns are guessed or as they were chosen, rows stream. */
import type { FlightLog } from '@skiametra/core/log';
import { guessMapping, type Mapping } from './guess';
import { looksLikeGeoJson, readGeoJson } from './geoJson';
import { looksLikeGpx, readGpx } from './gpx';
import { looksLikeIgc, readIgc } from './igc';
import { looksLikeKml, readKml } from './kml';
import { layoutOf, type Layout } from './layout';
import { readTable } from './readTable';
import { peek, textOf, type Bytes, type Reading } from './text';

/** How a table was laid out, and what its columns were taken for. */
interface TableRead {
  readonly layout: Layout;
  readonly mapping: Mapping;
}

export type LogRead =
  | { status: 'ok'; log: FlightLog; /** null of a format that says so itself */ table: TableRead | null }
  | { status: 'error'; message: string };

/** Formats that say themselves what they hold. */
const TRACKS = [
  { looks: looksLikeGpx, read: readGpx },
  { looks: looksLikeIgc, read: readIgc },
  { looks: looksLikeKml, read: readKml },
  { looks: looksLikeGeoJson, read: readGeoJson },
];

/** Letters of the beginning that are looked at. */
const HEAD = 60_000;

/**
 * @param choose given what the columns seem to hold, what they are taken for
 * @throws the signal's reason when it is stopped
 */
export async function readLog(
  bytes: Bytes,
  reading: Reading = {},
  choose: (guess: Mapping, layout: Layout) => Mapping = (guess) => guess,
): Promise<LogRead> {
  const { head, whole, again } = await peek(textOf(bytes, reading), HEAD);
  const track = TRACKS.find(({ looks }) => looks(head))?.read;
  if (track) return taken(async () => ({ log: await track(again), table: null }));
  const found = layoutOf(head, whole);
  if (found.status === 'error') return found;
  const { layout } = found,
    mapping = choose(guessMapping(layout), layout);
  return taken(async () => ({ log: await readTable(again, layout, mapping), table: { layout, mapping } }));
}

type Taken = Omit<Extract<LogRead, { status: 'ok' }>, 'status'>;

/** What a reader refuses is a sentence; what stops it is the caller's. */
async function taken(read: () => Promise<Taken>): Promise<LogRead> {
  try {
    return { status: 'ok', ...(await read()) };
  } catch (e) {
    if (e instanceof RangeError) return { status: 'error', message: e.message };
    throw e;
  }
}
