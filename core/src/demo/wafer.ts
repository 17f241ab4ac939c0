/** Wafer: a tailless glider folded from card, thrown off the boardwalk of the Fenland Relay as its warm-up task. All figures are made up. */
import {
  FILE_FORMAT,
  priorCalibration,
  SCHEMA_VERSION,
  type DesignDocument,
  type ProjectFile,
} from '../design';
import { starterDocument } from './starter';

const DEG = Math.PI / 180;

export function waferDocument(): DesignDocument {
  const base = starterDocument();
  const wing = (y: number, x: number, z: number, chord: number, twist: number) => ({
    y,
    x,
    z,
    chord,
    twist: twist * DEG,
    section: 'card-section',
  });
  return {
    schemaVersion: SCHEMA_VERSION,
    brief: {
      purpose:
        'A glider folded from one sheet of card, thrown by hand from the boardwalk: as far as it glides from 3 m, straight, in still evening air. No glue but one seam, nothing but a paper clip for ballast.',
      site: {
        elevation: 4,
        temperature: 288.15,
        wind: 0.3,
        stripLength: 20,
        surface: 'boards',
        rollingFriction: 0.06,
      },
      course: { straight: 20, straightsPerLap: 1, turnsPerLap: 0, window: 30, timedLaps: 1 },
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
          state: 'clip-front',
          op: 'atLeast',
          min: 5,
          max: null,
          rule: 'warm-up task, 15 m from 3 m',
          wish: true,
        },
        {
          id: 'span',
          quantity: 'wingSpan',
          state: 'all',
          op: 'atMost',
          min: null,
          max: 0.6,
          rule: 'Rule W1, one A2 sheet',
          wish: false,
        },
      ],
      missions: [
        { id: 'glide', name: 'Glide from the boardwalk', formula: '10 * glideRatio', loading: 'each' },
      ],
      rivals: [],
      watch: [
        'cgSpread@clip-front',
        'staticMargin@clip-front',
        'cgX@clip-front',
        'stallSpeed@clip-front',
        'glideRatio@clip-front',
        'minSink@clip-front',
        'neutralPoint@all',
        'allowedLoadFactor@clip-front',
      ],
    },
    design: {
      ...base.design,
      sections: [
        {
          id: 'card-section',
          name: 'Folded card, reflexed',
          shape: {
            kind: 'folded',
            corners: [
              [0, 0],
              [0.25, 0.032],
              [0.8, -0.006],
              [1, 0],
            ],
            thickness: 0.006,
          },
          note: 'three straight folds, tail edge bent up',
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
              name: 'Bent tail edge',
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
            { y: 0, x: 0, z: 0, chord: 0.085, twist: 0, section: 'card-section' },
            { y: 0.085, x: 0.04, z: 0, chord: 0.06, twist: 0, section: 'card-section' },
          ],
          controls: [],
        },
      ],
      body: [
        { x: 0, width: 0.004, height: 0.012, z: 0 },
        { x: 0.05, width: 0.008, height: 0.03, z: -0.008 },
        { x: 0.235, width: 0.004, height: 0.012, z: -0.004 },
      ],
      dragItems: [{ id: 'edges', name: 'Raw edges and seam', dragArea: 0.00012, note: 'guess' }],
      items: [
        {
          id: 'wing-card',
          name: 'Wing',
          group: 'structure',
          planned: { kind: 'areal', surface: 'wing', perArea: 0.24 },
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
          id: 'keel-card',
          name: 'Keel and fin',
          group: 'structure',
          planned: { kind: 'mass', mass: 0.0026 },
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
          id: 'seam',
          name: 'Seam and tape',
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
          id: 'clip',
          name: 'Paper clip',
          group: 'other',
          planned: { kind: 'mass', mass: 0.0062 },
          basis: 'weighed',
          spread: 0.05,
          weighed: 0.0062,
          x: 0.006,
          y: 0,
          z: -0.004,
          inWing: false,
          movable: { from: 0.002, to: 0.06 },
        },
      ],
      payload: { name: 'Nothing', unitMass: 0, x: 0.08, z: 0, pitch: 0.01, perRow: 1, basis: 'guess' },
      loadings: [
        { id: 'clip-front', name: 'Clip at the nose', count: 0 },
        { id: 'clip-back', name: 'Clip 6 mm back', count: 0, moved: [{ item: 'clip', x: 0.012 }] },
      ],
      scale: [],
      wheels: [],
      limits: { longestPiece: 0.55, printer: null, sheet: { length: 0.594, width: 0.42 } },
      built: [
        { surface: 'wing', side: 'right', y: 0.13, twist: 0.4 * DEG },
        { surface: 'wing', side: 'right', y: 0.25, twist: -2.6 * DEG },
        { surface: 'wing', side: 'left', y: 0.13, twist: 0.6 * DEG },
        { surface: 'wing', side: 'left', y: 0.25, twist: -1.9 * DEG },
      ],
      power: { ...base.design.power, unpowered: true },
      structure: {
        spar: {
          kind: 'box',
          height: 0.006,
          width: 0.02,
          cap: 0.0006,
          capMaterial: 'card',
          web: 0.0006,
          webMaterial: 'card',
        },
        chordPlace: 0.28,
        requiredLoadFactor: 3,
        requiredNegative: 1.5,
        safetyFactor: 1.5,
      },
      flight: { ...base.design.flight, turnBank: 15 * DEG, marginMin: 0.04, marginMax: 0.12 },
      basis: {},
    },
    calibration: priorCalibration(),
  };
}

/** A fresh copy each call. */
export function waferProject(): ProjectFile {
  return structuredClone({
    format: FILE_FORMAT as typeof FILE_FORMAT,
    schemaVersion: SCHEMA_VERSION as typeof SCHEMA_VERSION,
    project: { name: 'Reedbank warm-up', aircraft: 'Wafer' },
    versions: [
      { key: 'v1', name: 'Wafer 1', parent: null, reason: 'First folding.', document: waferDocument() },
    ],
    airframes: [],
    tests: [],
  });
}
