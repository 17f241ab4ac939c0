/**
 * The demo project as an exchange file: a sketch, a canard and a long-winged branch, a wing with
 * a sleeved spar that was loaded with bags, and Bittern 1 with one airframe, hops already flown,
 * the timed laps still a card.
 */
import {
  emptyRecord,
  FILE_FORMAT,
  SCHEMA_VERSION,
  type DesignDocument,
  type ProjectFile,
  type TestBody,
} from '../design';
import { measurementsOf, preflightFor } from '../trial';
import { LAYOUT_TEMPLATES } from '../layout';
import { bitternBenchTests } from './bench';
import { bitternDocument } from './bittern';
import { bitternSolarDocument } from './solarWing';
import { fresh } from './fresh';
import { sleevedDocument, sleeveTest } from './sleeve';

function listFor(state: string, done: boolean): TestBody['checklist'] {
  const { design } = bitternDocument();
  return preflightFor(
    design,
    design.states.find((l) => l.id === state),
  ).map((c) => ({ ...c, done }));
}

const hops: TestBody = {
  card: {
    title: 'Hops and straight flights, empty',
    question: 'Does it leave the boards in the computed run, and is the balance right?',
    oneChange: 'First flight of this airframe',
    expected: 'Ground run near 10 m, hands-off glide without pitching',
    stopWhen: 'Any pitch-up that full down elevator does not stop; wind above 4 m/s',
    state: 'ferry',
    overrideReason:
      'Empty and gentle, no turns beyond 30 degrees of bank; the spar is to be changed before tubes are carried.',
  },
  checklist: listFor('ferry', true),
  signedBy: 'Demo pilot',
  record: {
    ...emptyRecord(),
    flown: true,
    date: '2026-05-16',
    temperature: 287.15,
    wind: 0.8,
    cgX: 0.408,
    mass: 2.19,
    groundRun: 10.9,
    stallSpeed: 8.3,
    handling: ['as expected'],
    notes: 'Three hops and two circuits. Lands a little fast.',
  },
  log: null,
  measurements: [],
};

const laps: TestBody = {
  card: {
    title: 'Timed laps with eight tubes',
    question: 'What are lap time and energy per lap really?',
    oneChange: 'Eight tubes in the bay',
    expected: 'About 26 s and 0.7 Wh a lap',
    stopWhen: 'Pack below 3.5 V a cell under load, or any tail-heavy pitching',
    state: 'tubes-8',
    overrideReason: '',
  },
  checklist: listFor('tubes-8', false),
  signedBy: '',
  record: emptyRecord(),
  log: null,
  measurements: [],
};

/** The sketch from which two layouts were drawn: the Bittern with a straight, untwisted wing. */
function sketchDocument(): DesignDocument {
  const doc = bitternDocument();
  const wing = doc.design.surfaces.find((s) => s.id === 'wing')!;
  wing.stations = [0, 0.8].map((y) => ({ ...wing.stations[0], y, z: 0.036 * (y / 0.8), chord: 0.25 }));
  return doc;
}

/** The same brief with the foreplane ahead. */
export function bitternCanardDocument(): DesignDocument {
  const doc = bitternDocument();
  return { ...doc, design: LAYOUT_TEMPLATES.find((t) => t.id === 'canard')!.make(doc.design) };
}

/** A fresh copy each call. */
export function bitternProject(): ProjectFile {
  return fresh({
    format: FILE_FORMAT as typeof FILE_FORMAT,
    schemaVersion: SCHEMA_VERSION as typeof SCHEMA_VERSION,
    project: { name: 'Fenland Relay', aircraft: 'Bittern' },
    versions: [
      {
        key: 'v1',
        name: 'Bittern sketch',
        parent: null,
        reason: 'Straight wing from the sizing, to compare layouts on.',
        document: sketchDocument(),
      },
      {
        key: 'v2',
        name: 'Bittern canard',
        parent: 'v1',
        reason:
          'Foreplane ahead, propeller behind: safe at the stall, but the wing never reaches its best lift and the boardwalk is short.',
        document: bitternCanardDocument(),
      },
      {
        key: 'v3',
        name: 'Bittern long wing',
        parent: 'v1',
        reason:
          'Not for the contest: how long would solar cells on a long wing keep it up on a midsummer day?',
        document: bitternSolarDocument(),
      },
      {
        key: 'v5',
        name: 'Bittern spar',
        parent: 'v1',
        reason:
          'A wing to load, not to fly: with twelve tubes the plain spar breaks below what is asked; a sleeve in its root, 12 g, mends it.',
        document: sleevedDocument(),
      },
      {
        key: 'v4',
        name: 'Bittern 1',
        parent: 'v1',
        reason: 'First drawing from the brief: wing and tail, tapered and washed out.',
        document: bitternDocument(),
      },
    ],
    airframes: [{ key: 'a1', name: 'Bittern 1, first airframe', version: 'v4', note: '' }],
    tests: [
      ...bitternBenchTests().map((body, i) => ({ key: `t${i + 1}`, version: 'v4', airframe: 'a1', body })),
      {
        key: 't5',
        version: 'v4',
        airframe: 'a1',
        body: { ...hops, measurements: measurementsOf(hops).measurements },
      },
      { key: 't6', version: 'v4', airframe: 'a1', body: laps },
      { key: 't7', version: 'v5', airframe: null, body: sleeveTest() },
    ],
  });
}
