/** Gnat: an indoor rubber model for a hall with a ceiling at 9 m, with a season of logged flights. All figures are made up. */
import { FILE_FORMAT, SCHEMA_VERSION, priorCalibration, type Design, type DesignDocument, type ProjectFile, type TestBody } from '../design';
import { measurementsOf, PREFLIGHT } from '../trial';
import { starterDocument } from './starter';

const DEG = Math.PI / 180;

export function gnatDocument(): DesignDocument {
  const base = starterDocument();
  const item = (id: string, name: string, group: Design['items'][number]['group'], grams: number, x: number, z: number, more: Partial<Design['items'][number]> = {}): Design['items'][number] => ({ id, name, group, planned: { kind: 'mass', mass: grams / 1000 }, basis: 'weighed', spread: 0.04, weighed: grams / 1000, x, y: 0, z, inWing: false, movable: null, ...more });
  const st = (y: number, x: number, z: number, chord: number, section: string, twist = 0) => ({ y, x, z, chord, twist, section });
  return {
    schemaVersion: SCHEMA_VERSION,
    brief: {
      ...base.brief,
      purpose: 'Stay up longest in the Reedbank sports hall. The girders hang at 9 m; whoever touches them usually ends there. Launch torque is what decides the height.',
      site: { elevation: 4, temperature: 293.15, wind: 0, stripLength: 20, surface: 'boards', rollingFriction: 0.06 },
      course: { straight: 10, straightsPerLap: 1, turnsPerLap: 1, window: 900, timedLaps: 1 },
      requirements: [
        { id: 'ceiling', quantity: 'peakHeight', state: 'all', op: 'atMost', min: null, max: 8.7, rule: 'girders at 9 m', wish: false },
        { id: 'time', quantity: 'flightTime', state: 'all', op: 'atLeast', min: 330, max: null, rule: 'best of last winter', wish: true },
        { id: 'span', quantity: 'wingSpan', state: 'all', op: 'atMost', min: null, max: 0.56, rule: 'Rule G2', wish: false },
        { id: 'mass', quantity: 'mass', state: 'all', op: 'atMost', min: null, max: 0.0062, rule: 'own limit, rubber in', wish: false },
        { id: 'margin', quantity: 'staticMargin', state: 'all', op: 'between', min: 0.05, max: 0.4, rule: 'own rule', wish: false },
      ],
      missions: [{ id: 'time', name: 'Seconds', formula: 'flightTime', loading: 'each' }], rivals: [], references: [],
      watch: ['flightTime@flight', 'peakHeight@flight', 'propellerRpm@flight', 'launchTorque@all', 'turnsLeft@flight', 'mass@flight', 'staticMargin@flight', 'minSink@flight'],
    },
    design: {
      ...base.design,
      sections: [{ id: 'wing-film', name: 'Film on ribs, 6 %', shape: { kind: 'film', camber: 0.06, at: 0.4, thickness: 0.004 }, note: 'single surface' }, { id: 'tail-film', name: 'Film on ribs, 3 %', shape: { kind: 'film', camber: 0.03, at: 0.4, thickness: 0.004 }, note: 'single surface' }],
      surfaces: [
        { id: 'wing', name: 'Wing', role: 'wing', x: 0.125, z: 0.035, incidence: 3 * DEG, stations: [st(0, 0, 0, 0.12, 'wing-film'), st(0.19, 0, 0.004, 0.12, 'wing-film'), st(0.275, 0.012, 0.05, 0.09, 'wing-film', -1 * DEG)], controls: [] },
        { id: 'tail', name: 'Tail', role: 'tail', x: 0.66, z: 0.006, incidence: 0, stations: [st(0, 0, 0, 0.1, 'tail-film'), st(0.17, 0.006, 0.012, 0.075, 'tail-film')], controls: [] },
        { id: 'fin', name: 'Fin', role: 'fin', x: 0.68, z: 0.006, incidence: 0, stations: [st(0, 0, 0, 0.07, 'tail-film'), st(0.09, 0.012, 0, 0.05, 'tail-film')], controls: [] },
      ],
      body: [{ x: 0, width: 0.006, height: 0.01, z: 0 }, { x: 0.38, width: 0.006, height: 0.01, z: 0 }, { x: 0.76, width: 0.003, height: 0.004, z: 0.004 }],
      dragItems: [{ id: 'rubber', name: 'Rubber and hooks', dragArea: 0.00012, note: 'guess' }, { id: 'posts', name: 'Wing posts', dragArea: 0.00004, note: 'guess' }],
      items: [
        item('wing', 'Wing', 'structure', 1.02, 0.187, 0.045, { inWing: true }), item('tail', 'Tail and fin', 'structure', 0.46, 0.71, 0.012), item('stick', 'Motor stick', 'structure', 0.82, 0.2, 0), item('boom', 'Tail boom', 'structure', 0.32, 0.55, 0.003),
        item('propeller', 'Propeller and shaft', 'propulsion', 0.92, -0.012, 0), item('rubber', 'Rubber motor', 'propulsion', 1.42, 0.19, -0.008, { movable: { from: 0.17, to: 0.23 } }), item('clay', 'Trim clay', 'other', 0.08, 0.02, 0, { movable: { from: 0, to: 0.74 } }),
      ],
      payload: { name: 'Nothing', unitMass: 0, x: 0.2, z: 0, pitch: 0.01, perRow: 1, basis: 'guess' },
      loadings: [{ id: 'flight', name: 'Ready to fly, rubber in', count: 0 }, { id: 'bare', name: 'Without rubber', count: 0, absent: ['rubber'] }],
      scale: [], wheels: [], limits: { longestPiece: 0.56, printer: null, sheet: { length: 0.9, width: 0.075 } },
      power: {
        ...base.design.power, unpowered: true,
        rubber: {
          width: 0.00192, thickness: 0.00105, strands: 2, length: 0.38, density: 930, lubricated: true, wound: 0.92, backedOff: 95, winder: 15,
          propeller: { diameter: 0.34, pitch: 0.52, blades: 2, family: 'indoor' }, flare: 50, trimCl: 0.8, ceiling: 9, field: null,
        },
      },
      swaps: [
        { id: 'g-prop-a', kind: 'propeller', label: 'Prop A, soft', mass: 0.00092, weighed: true, x: null, note: 'flares', data: { diameter: 0.34, pitch: 0.52, blades: 2, family: 'indoor' } },
        { id: 'g-prop-b', kind: 'propeller', label: 'Prop B, stiff', mass: 0.00104, weighed: true, x: null, note: '24 in pitch', data: { diameter: 0.34, pitch: 0.61, blades: 2, family: 'indoor' } },
      ],
      structure: { spar: { kind: 'tube', outer: 0.0018, wall: 0.0006, material: 'carbon-tube' }, chordPlace: 0.1, requiredLoadFactor: 2, requiredNegative: 1, safetyFactor: 1.5 },
      flight: { ...base.design.flight, turnBank: 12 * DEG, marginMin: 0.05, marginMax: 0.4 },
      basis: {},
    },
    calibration: priorCalibration(),
  };
}

/** date, turns at launch, left, torque [mN m], seconds, height [m], what was changed, clean, notes, motor length [m], pitch [m] */
const SEASON: [date: string, turns: number, left: number | null, torque: number, seconds: number, height: number, change: string, clean: boolean, notes: string, length: number | null, pitch: number | null][] = [
  ['2026-01-10', 1150, 948, 1.14, 90, 1.8, 'First flight of the winter, low turns', true, 'Trimmed to a left circle of about 8 m.', null, null],
  ['2026-01-10', 1250, 880, 1.33, 167, 2.6, '100 more turns', true, 'Climbs a little, cruises long.', null, null],
  ['2026-01-24', 1350, 762, 1.6, 262, 5.5, '100 more turns', true, '', null, null],
  ['2026-01-24', 1420, 668, 1.81, 331, 8.4, '70 more turns', true, 'Half a metre under the girders.', null, null],
  ['2026-02-07', 1470, null, 2.06, 214, 9, '50 more turns', false, 'Hung up on a girder for most of a minute, came down by itself.', null, null],
  ['2026-02-21', 1400, 781, 1.72, 291, 6.8, 'Prop B pitched to 560 mm', true, 'Slower blades, flatter climb.', null, 0.56],
  ['2026-03-07', 1520, 986, 1.68, 251, 5.1, 'Motor 420 mm long, same strip', true, 'Lands with too much left: could be thinner.', 0.42, 0.56],
  ['2026-03-07', 1560, 921, 1.77, 306, 7.4, '40 more turns', true, 'Best of the long motor.', 0.42, 0.56],
];

function flight([date, launchTurns, turnsLeft, torque, seconds, height, change, clean, notes, motorLength, pitch]: (typeof SEASON)[number], i: number): TestBody {
  const body: TestBody = {
    card: { title: `Hall flight ${i + 1}`, question: 'How high on this torque, and how long?', oneChange: change, expected: '', stopWhen: 'Anybody under the model; a touched girder', loading: 'flight', overrideReason: '' },
    checklist: PREFLIGHT.map((c) => ({ ...c, done: true })), signedBy: 'Demo flyer',
    record: { flown: true, date, temperature: 293.15, wind: 0, cgX: null, mass: null, chargeBefore: null, chargeAfter: null, duration: null, laps: [], groundRun: null, stallSpeed: null, handling: ['as expected'], notes, damage: '', rubber: { launchTurns, turnsLeft, launchTorque: torque / 1000, seconds, height, motorLength, pitch, clean } },
    log: null, measurements: [],
  };
  return { ...body, measurements: measurementsOf(body).measurements };
}

/** A fresh copy each call. */
export function gnatProject(): ProjectFile {
  return structuredClone({
    format: FILE_FORMAT as typeof FILE_FORMAT, schemaVersion: SCHEMA_VERSION as typeof SCHEMA_VERSION,
    project: { name: 'Reedbank hall', aircraft: 'Gnat' },
    versions: [{ key: 'v1', name: 'Gnat 1', parent: null, reason: 'First winter: film wing, flaring propeller.', document: gnatDocument() }],
    airframes: [{ key: 'a1', name: 'Gnat 1, green', version: 'v1', note: '' }],
    tests: SEASON.map((row, i) => ({ key: `t${i + 1}`, version: 'v1', airframe: 'a1', body: flight(row, i) })),
  });
}
