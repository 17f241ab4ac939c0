/** The demo's season: what its loggers wrote, kept as files, read and reduced as a person's own would be. */
import { and, eq } from 'drizzle-orm';
import { assess, entryNamed, type Ledger } from '@skiametra/core/assess';
import {
  emptyRecord,
  missionInView,
  type Brief,
  type Design,
  type DesignDocument,
  type LogEntry,
  type TestBody,
} from '@skiametra/core/design';
import { cleanLog, faultCounts, placed, reduceFlight } from '@skiametra/core/log';
import {
  conditionsOf,
  courseFlown,
  flownOf,
  legMeasurements,
  legReadings,
  legsFlown,
  logMeasurements,
  measurementsOf,
  preflightFor,
  withLog,
} from '@skiametra/core/trial';
import { seasonFlights, type SeasonFlight } from '@skiametra/devices';
import { readLog } from '@skiametra/formats/log';
import type { Db } from './connection';
import { storeMeasurements, type Tx } from './exchange';
import { keepFile, sumOf } from './logFile';
import { tests, versions } from './schema';

async function* piece(bytes: Buffer): AsyncGenerator<Uint8Array> {
  yield await Promise.resolve(bytes);
}

/** A test with a log of it: its entry, and what it said. */
async function reduced(
  body: TestBody,
  { name, bytes }: { name: string; bytes: Buffer },
  { brief, design, ledger }: { brief: Brief; design: Design; ledger: Ledger },
): Promise<TestBody> {
  const read = await readLog(piece(bytes));
  if (read.status === 'error') throw new Error(read.message);
  const { log, faults } = cleanLog(placed(read.log)),
    { results, segments } = reduceFlight(log, flownOf(body, brief, ledger)),
    { state } = body.card,
    mission = missionInView(brief, null);
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
  const told = { file: entry.file, source: 'logged' as const, state, conditions: conditionsOf(body) },
    aspectRatio = entryNamed(ledger, 'aspectRatio', state)?.value ?? null,
    legs = mission ? legReadings(log, legsFlown(segments, courseFlown(mission, design, ledger, state))) : [];
  const measured = [
    ...logMeasurements(results, { ...told, aspectRatio }),
    ...(mission ? legMeasurements(legs, mission.id, told, ledger) : []),
  ];
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
  const held = await db.select().from(tests).where(eq(tests.versionId, version.id)),
    { brief, design, calibration } = version.document,
    known = { brief, design, ledger: assess(brief, design, calibration) };
  for (const flight of seasonFlights()) {
    const bytes = Buffer.from(flight.text()),
      there = held.find((t) => t.body.card.title === flight.title),
      body = await reduced(
        there?.body ?? bodyOf(flight, version.document),
        { name: flight.file, bytes },
        known,
      );
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
