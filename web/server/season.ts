/** The demo's season: what its loggers wrote, kept as files, read and reduced as a person's own would be. */
import { and, eq } from 'drizzle-orm';
import { emptyRecord, type DesignDocument, type LogEntry, type TestBody } from '@skiametra/core/design';
import { cleanLog, faultCounts, placed, reduceFlight } from '@skiametra/core/log';
import { conditionsOf, logMeasurements, measurementsOf, preflightFor, withLog } from '@skiametra/core/trial';
import { seasonFlights, type SeasonFlight } from '@skiametra/devices';
import { readLog } from '@skiametra/formats/log';
import type { Db } from './connection';
import { storeMeasurements, type Tx } from './exchange';
import { keepFile, sumOf } from './logFile';
import { tests, versions } from './schema';

/** Wing area and aspect ratio of the demo aircraft, as it is drawn. */
const WING = { area: 0.4, aspectRatio: 6.4 };

async function* piece(bytes: Buffer): AsyncGenerator<Uint8Array> {
  yield await Promise.resolve(bytes);
}

/** A test with a log of it: its entry, and what it said. */
async function reduced(body: TestBody, name: string, bytes: Buffer): Promise<TestBody> {
  const read = await readLog(piece(bytes));
  if (read.status === 'error') throw new Error(read.message);
  const { log, faults } = cleanLog(placed(read.log)),
    { results } = reduceFlight(log, { mass: body.record.mass, area: WING.area, density: null });
  const t = log.t,
    entry: LogEntry = {
      file: sumOf(bytes),
      name,
      origin: 'logged',
      rows: read.log.t.length,
      length: t.length > 0 ? t[t.length - 1]! - t[0]! : 0,
      begun: read.log.begun,
      columns: null,
      kept: [],
      segments: null,
      faults: faultCounts(faults),
    };
  const measured = logMeasurements(results, {
    file: entry.file,
    source: 'logged',
    state: body.card.state,
    conditions: conditionsOf(body),
    aspectRatio: WING.aspectRatio,
  });
  const whole = withLog(body, entry, measured);
  return { ...whole, measurements: measurementsOf(whole).measurements };
}

function bodyOf(flight: SeasonFlight, { design }: DesignDocument): TestBody {
  const { conditions, date, notes, state } = flight;
  return {
    card: {
      title: flight.title,
      question: flight.question,
      oneChange: flight.oneChange,
      expected: 'As predicted, within its spread',
      stopWhen: 'Any sign of flutter, pack below 3.5 V a cell, or people on the dyke',
      state,
      overrideReason: 'Gentle laps only; the spar is to be changed before more is carried.',
    },
    checklist: preflightFor(
      design,
      design.states.find((s) => s.id === state),
    ).map((c) => ({ ...c, done: true })),
    signedBy: 'Demo pilot',
    record: emptyRecord({ flown: true, date, notes, handling: ['as expected'], ...conditions }),
    log: null,
    measurements: [],
  };
}

/** @param versionName of the version that was flown */
export async function storeSeason(db: Db, projectId: number, versionName: string): Promise<void> {
  const [version] = await db
    .select()
    .from(versions)
    .where(and(eq(versions.projectId, projectId), eq(versions.name, versionName)));
  if (!version) return;
  const held = await db.select().from(tests).where(eq(tests.versionId, version.id));
  for (const flight of seasonFlights()) {
    const bytes = Buffer.from(flight.text()),
      there = held.find((t) => t.body.card.title === flight.title),
      body = await reduced(there?.body ?? bodyOf(flight, version.document), flight.file, bytes);
    await db.transaction(async (tx) => {
      const id = there?.id ?? (await added(tx, version, body));
      await tx.update(tests).set({ body }).where(eq(tests.id, id));
      await keepFile(tx, id, flight.file, bytes);
      await storeMeasurements(tx, id, body);
    });
  }
}

async function added(tx: Tx, { id, projectId }: { id: number; projectId: number }, body: TestBody) {
  const [frame] = await tx
    .select({ airframeId: tests.airframeId })
    .from(tests)
    .where(eq(tests.versionId, id))
    .limit(1);
  const [row] = await tx
    .insert(tests)
    .values({ projectId, versionId: id, airframeId: frame?.airframeId ?? null, body })
    .returning({ id: tests.id });
  return row!.id;
}
