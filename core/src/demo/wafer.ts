/** Wafer: a tailless glider cut from sheet foam, thrown so that it comes back to the thrower. All figures are made up. */
import {
  FILE_FORMAT,
  layOut,
  powertrainOf,
  priorCalibration,
  SCHEMA_VERSION,
  type DesignDocument,
  type ProjectFile,
} from '../design';
import { starterDocument } from './starter';
import { fresh } from './fresh';
import { wingSpar } from './laps';
import { FULL_TURN } from './missions';

const DEG = Math.PI / 180;

export function waferDocument(): DesignDocument {
  const base = starterDocument();
  const wing = (y: number, x: number, z: number, chord: number, twist: number) => ({
    y,
    x,
    z,
    chord,
    twist: twist * DEG,
    section: 'foam-section',
  });
  return {
    schemaVersion: SCHEMA_VERSION,
    brief: {
      purpose:
        'A glider cut from one board of sheet foam, thrown by hand on the boardwalk to fly a full turn and come back: what counts is how near the thrower’s feet it lands. Clay at the nose, tape on the edges, the tail edge curled up by hand.',
      site: {
        elevation: 4,
        temperature: 288.15,
        wind: 0.3,
        stripLength: 20,
        surface: 'boards',
        rollingFriction: 0.06,
      },
      missions: [FULL_TURN],
      requirements: [
        {
          id: 'margin',
          quantity: 'staticMargin',
          state: 'all',
          op: 'between',
          min: 0.04,
          max: 0.12,
          rule: 'own rule for a tailless glider',
          wish: false,
        },
        {
          id: 'glide',
          quantity: 'glideRatio',
          state: 'clay-front',
          op: 'atLeast',
          min: 5,
          max: null,
          rule: 'a full turn from shoulder height',
          wish: true,
        },
        {
          id: 'span',
          quantity: 'wingSpan',
          state: 'all',
          op: 'atMost',
          min: null,
          max: 0.6,
          rule: 'Rule W1, one board',
          wish: false,
        },
      ],
      tasks: [
        {
          id: 'return',
          name: 'Back to the feet',
          mission: 'turn',
          formula: '30 - abs(0.76 * glideSpeed^2 - 1.5 * glideRatio)',
          state: 'each',
        },
      ],
      rivals: [],
      watch: [
        'cgSpread@clay-front',
        'staticMargin@clay-front',
        'cgX@clay-front',
        'stallSpeed@clay-front',
        'glideRatio@clay-front',
        'minSink@clay-front',
        'neutralPoint@all',
        'allowedLoadFactor@clay-front',
      ],
    },
    design: {
      ...base.design,
      sections: [
        {
          id: 'foam-section',
          name: 'Sheet foam, lightly curled',
          shape: { kind: 'plate', camber: 0.012, at: 0.3, thickness: 0.022 },
          note: 'curled over a tube; the tail edge turned up is the elevon',
        },
      ],
      surfaces: [
        {
          id: 'wing',
          name: 'Wing',
          role: 'wing',
          x: 0.02,
          z: 0.01,
          incidence: 1 * DEG,
          stations: [
            wing(0, 0, 0, 0.15, 0),
            wing(0.13, 0.05, 0.012, 0.12, -0.5),
            wing(0.26, 0.1, 0.026, 0.085, -4),
          ],
          controls: [
            {
              id: 'elevon',
              name: 'Curled tail edge',
              kind: 'elevon',
              from: 0.45,
              to: 0.95,
              chordFraction: 0.15,
              maxDeflection: 15 * DEG,
            },
          ],
        },
        {
          id: 'keel',
          name: 'Keel',
          role: 'fin',
          x: 0.15,
          z: 0,
          incidence: 0,
          stations: [
            { y: 0, x: 0, z: 0, chord: 0.085, twist: 0, section: 'foam-section' },
            { y: 0.085, x: 0.04, z: 0, chord: 0.06, twist: 0, section: 'foam-section' },
          ],
          controls: [],
        },
      ],
      body: [
        { x: 0, width: 0.004, height: 0.012, z: 0 },
        { x: 0.05, width: 0.008, height: 0.03, z: -0.008 },
        { x: 0.235, width: 0.004, height: 0.012, z: -0.004 },
      ],
      dragItems: [{ id: 'edges', name: 'Raw edges', dragArea: 0.00012, note: 'guess' }],
      items: [
        {
          id: 'wing-foam',
          name: 'Wing',
          group: 'structure',
          planned: { kind: 'areal', surface: 'wing', perArea: 0.14 },
          basis: 'weighed',
          spread: 0.04,
          weighed: null,
          x: 0.1,
          y: 0,
          z: 0.01,
          inWing: true,
          movable: null,
        },
        {
          id: 'keel-foam',
          name: 'Keel and fin',
          group: 'structure',
          planned: { kind: 'mass', mass: 0.002 },
          basis: 'calculated',
          spread: 0.1,
          weighed: null,
          x: 0.13,
          y: 0,
          z: 0,
          inWing: false,
          movable: null,
        },
        {
          id: 'tape',
          name: 'Edge tape',
          group: 'other',
          planned: { kind: 'mass', mass: 0.0006 },
          basis: 'guess',
          spread: 0.3,
          weighed: null,
          x: 0.08,
          y: 0,
          z: 0,
          inWing: false,
          movable: null,
        },
        {
          id: 'clay',
          name: 'Nose clay',
          group: 'other',
          planned: { kind: 'mass', mass: 0.004 },
          basis: 'weighed',
          spread: 0.05,
          weighed: 0.004,
          x: 0.006,
          y: 0,
          z: -0.004,
          inWing: false,
          movable: { from: 0.002, to: 0.06 },
        },
      ],
      payload: { name: 'Nothing', unitMass: 0, x: 0.08, z: 0, pitch: 0.01, perRow: 1, basis: 'guess' },
      states: [
        { id: 'clay-front', name: 'Clay at the nose', count: 0 },
        { id: 'clay-back', name: 'Clay 6 mm back', count: 0, moved: [{ item: 'clay', x: 0.012 }] },
      ],
      scale: [],
      wheels: [],
      limits: { longestPiece: 0.55, printer: null, sheet: { length: 1, width: 0.5 } },
      built: [
        { surface: 'wing', side: 'right', y: 0.13, twist: 0.4 * DEG },
        { surface: 'wing', side: 'right', y: 0.25, twist: -2.6 * DEG },
        { surface: 'wing', side: 'left', y: 0.13, twist: 0.6 * DEG },
        { surface: 'wing', side: 'left', y: 0.25, twist: -1.9 * DEG },
      ],
      ...layOut({ ...powertrainOf(base.design), unpowered: true }),
      structure: {
        // the board itself bears
        members: wingSpar({ kind: 'sheet', thickness: 0.003, material: 'foam-sheet' }),
        requiredLoadFactor: 3,
        requiredNegative: 1.5,
        safetyFactor: 1.5,
      },
      flight: { ...base.design.flight, turnBank: 40 * DEG, marginMin: 0.04, marginMax: 0.12 },
      basis: {},
    },
    calibration: priorCalibration(),
  };
}

/** A fresh copy each call. */
export function waferProject(): ProjectFile {
  return fresh({
    format: FILE_FORMAT as typeof FILE_FORMAT,
    schemaVersion: SCHEMA_VERSION as typeof SCHEMA_VERSION,
    project: { name: 'There and back', aircraft: 'Wafer' },
    versions: [
      {
        key: 'v1',
        name: 'Wafer 1',
        parent: null,
        reason: 'First cut from the board.',
        document: waferDocument(),
      },
    ],
    airframes: [],
    tests: [],
  });
}
