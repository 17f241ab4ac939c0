/**
 * The demo: the Fenland Relay, an invented student contest, and the aircraft Bittern.
 * All figures are made up. SI and radians.
 */
import { priorCalibration, SCHEMA_VERSION, type Brief, type Design, type DesignDocument } from '../design';

const DEG = Math.PI / 180;
const MAH = 3.6;
const RPM_PER_VOLT = (2 * Math.PI) / 60;
const INCH = 0.0254;

const brief: Brief = {
  purpose: 'Fly sealed water-sample tubes between two marker poles on a flooded marsh. The score rewards tubes carried, laps in the window and energy left. Take-off from a 20 m boardwalk, landing on the same.',
  site: { elevation: 4, temperature: 288.15, wind: 0.5, stripLength: 20, surface: 'boards', rollingFriction: 0.06 },
  course: { straight: 150, straightsPerLap: 2, turnsPerLap: 2, window: 300, timedLaps: 3 },
  requirements: [
    { id: 'strip', quantity: 'groundRun', state: 'all', op: 'atMost', min: null, max: 20, rule: 'Rule 4.1, boardwalk', wish: false },
    { id: 'span', quantity: 'wingSpan', state: 'all', op: 'atMost', min: null, max: 1.8, rule: 'Rule 3.2, carrying frame', wish: false },
    { id: 'mass', quantity: 'mass', state: 'all', op: 'atMost', min: null, max: 3.5, rule: 'Rule 3.1', wish: false },
    { id: 'climb', quantity: 'climbRate', state: 'tubes-12', op: 'atLeast', min: 2, max: null, rule: 'own wish, reeds at the far end', wish: true },
    { id: 'margin', quantity: 'staticMargin', state: 'all', op: 'between', min: 0.08, max: 0.2, rule: 'own rule', wish: false },
    { id: 'strength', quantity: 'allowedLoadFactor', state: 'tubes-12', op: 'atLeast', min: 4, max: null, rule: 'Rule 6.3, tip-lift with factor 1.5', wish: false },
    { id: 'current', quantity: 'staticCurrent', state: 'all', op: 'atMost', min: null, max: 30, rule: 'Rule 5.2, fuse', wish: false },
    { id: 'reserve', quantity: 'energyLeft', state: 'tubes-8', op: 'atLeast', min: 0.15, max: null, rule: 'Rule 5.5', wish: false },
  ],
  missions: [
    { id: 'ferry', name: 'Ferry, empty, three laps', formula: '100 * min(1, bestFerry / timedTime)', loading: 'ferry' },
    { id: 'relay', name: 'Relay with tubes', formula: '200 * payloadCount * laps / bestRelay', loading: 'each' },
    { id: 'thrift', name: 'Energy left', formula: '60 * energyLeft', loading: 'each' },
  ],
  rivals: [
    { name: 'bestFerry', low: 64, likely: 70, high: 78, note: 'seconds, best of last year' },
    { name: 'bestRelay', low: 90, likely: 110, high: 130, note: 'tubes times laps, best of last year' },
  ],
  references: [
    { id: 'heron', name: 'Last year’s second, measured on the field', note: 'paced out, no weights', span: 1.7, area: 0.41, mass: null, tailArea: 0.075, tailArm: 0.78, finArea: 0.033, bodyLength: 1.25, cgChord: null },
    { id: 'trainer', name: 'Club trainer', note: 'plan', span: 1.55, area: 0.39, mass: 2.1, tailArea: 0.086, tailArm: 0.7, finArea: 0.034, bodyLength: 1.2, cgChord: 0.31 },
    { id: 'own', name: 'Our load lifter of two years ago', note: 'weighed', span: 1.9, area: 0.52, mass: 3.3, tailArea: 0.1, tailArm: 0.85, finArea: 0.045, bodyLength: 1.4, cgChord: 0.34 },
  ],
  watch: ['score@tubes-8', 'mass@tubes-8', 'staticMargin@tubes-8', 'stallSpeed@tubes-8', 'groundRun@tubes-8', 'lapTime@tubes-8', 'energyLeft@tubes-8', 'allowedLoadFactor@tubes-12'],
};

const tubes = [4, 5, 6, 7, 8, 9, 10, 11, 12];

const part = (id: string, name: string, group: Design['items'][number]['group'], grams: number, x: number, z: number, basis: Design['items'][number]['basis'], more: Partial<Design['items'][number]> = {}): Design['items'][number] => ({
  id, name, group, planned: { kind: 'mass', mass: grams / 1000 }, basis, spread: basis === 'catalogue' ? 0.03 : 0.15, weighed: null, x, y: 0, z, inWing: false, movable: null, ...more,
});

const design: Design = {
  sections: [
    { id: 'wing-section', name: 'NACA 4412', shape: { kind: 'naca4', digits: '4412' }, note: 'generated' },
    { id: 'tail-section', name: 'NACA 0009', shape: { kind: 'naca4', digits: '0009' }, note: 'generated' },
  ],
  surfaces: [
    {
      id: 'wing', name: 'Wing', role: 'wing', x: 0.3, z: 0.06, incidence: 1.5 * DEG,
      stations: [
        { y: 0, x: 0, z: 0, chord: 0.27, twist: 0, section: 'wing-section' },
        { y: 0.4, x: 0, z: 0.008, chord: 0.27, twist: 0, section: 'wing-section' },
        { y: 0.8, x: 0.03, z: 0.036, chord: 0.19, twist: -2 * DEG, section: 'wing-section' },
      ],
      controls: [{ id: 'aileron', name: 'Aileron', kind: 'aileron', from: 0.55, to: 0.95, chordFraction: 0.25, maxDeflection: 20 * DEG, servo: { torque: 0.18, count: 1 } }],
      joints: [0],
    },
    {
      id: 'tail', name: 'Tailplane', role: 'tail', x: 1.08, z: 0.1, incidence: -1 * DEG,
      stations: [
        { y: 0, x: 0, z: 0, chord: 0.17, twist: 0, section: 'tail-section' },
        { y: 0.27, x: 0.03, z: 0, chord: 0.13, twist: 0, section: 'tail-section' },
      ],
      controls: [{ id: 'elevator', name: 'Elevator', kind: 'elevator', from: 0, to: 1, chordFraction: 0.35, maxDeflection: 20 * DEG, servo: { torque: 0.22, count: 1 } }],
    },
    {
      id: 'fin', name: 'Fin', role: 'fin', x: 1.07, z: 0.06, incidence: 0,
      stations: [
        { y: 0, x: 0, z: 0, chord: 0.2, twist: 0, section: 'tail-section' },
        { y: 0.22, x: 0.07, z: 0, chord: 0.12, twist: 0, section: 'tail-section' },
      ],
      controls: [{ id: 'rudder', name: 'Rudder', kind: 'rudder', from: 0, to: 1, chordFraction: 0.4, maxDeflection: 25 * DEG, servo: { torque: 0.22, count: 1 } }],
    },
  ],
  body: [
    { x: 0, width: 0.05, height: 0.05, z: 0 },
    { x: 0.12, width: 0.1, height: 0.11, z: 0 },
    { x: 0.55, width: 0.11, height: 0.12, z: 0 },
    { x: 0.8, width: 0.06, height: 0.07, z: 0.02 },
    { x: 1.28, width: 0.025, height: 0.03, z: 0.06 },
  ],
  dragItems: [
    { id: 'gear', name: 'Wheels and legs', dragArea: 0.0022, note: 'two 60 mm wheels on wire, common practice' },
    { id: 'openings', name: 'Hinges, horns, cooling', dragArea: 0.0009, note: 'guess' },
  ],
  items: [
    { id: 'wing-shell', name: 'Wing', group: 'structure', planned: { kind: 'areal', surface: 'wing', perArea: 1.55 }, basis: 'calculated', spread: 0.12, weighed: null, x: 0.41, y: 0, z: 0.07, inWing: true, movable: null },
    part('wing-servos', 'Aileron servos', 'electronics', 26, 0.46, 0.07, 'catalogue', { inWing: true }),
    part('body-shell', 'Fuselage', 'structure', 420, 0.5, 0.01, 'guess'),
    { id: 'tail-shell', name: 'Tailplane', group: 'structure', planned: { kind: 'areal', surface: 'tail', perArea: 0.75 }, basis: 'calculated', spread: 0.12, weighed: null, x: 1.15, y: 0, z: 0.1, inWing: false, movable: null },
    { id: 'fin-shell', name: 'Fin', group: 'structure', planned: { kind: 'areal', surface: 'fin', perArea: 0.75 }, basis: 'calculated', spread: 0.12, weighed: null, x: 1.16, y: 0, z: 0.16, inWing: false, movable: null },
    part('tail-servos', 'Tail servos and rods', 'electronics', 46, 0.72, 0.02, 'catalogue'),
    part('motor', 'Motor', 'propulsion', 128, 0.04, 0, 'catalogue'),
    part('propeller', 'Propeller and hub', 'propulsion', 34, 0, 0, 'catalogue'),
    part('esc', 'Controller', 'propulsion', 44, 0.12, -0.02, 'catalogue'),
    part('battery', 'Battery', 'battery', 274, 0.23, 0, 'catalogue', { movable: { from: 0.12, to: 0.33 }, box: { length: 0.136, width: 0.043, height: 0.03 } }),
    part('receiver', 'Receiver and wiring', 'electronics', 48, 0.34, 0.03, 'catalogue', { movable: { from: 0.33, to: 0.58 }, box: { length: 0.048, width: 0.03, height: 0.016 } }),
    part('gear-legs', 'Landing gear', 'gear', 165, 0.36, -0.1, 'guess'),
    part('bay', 'Tube bay and latch', 'other', 120, 0.43, -0.03, 'guess'),
    part('paint', 'Covering, glue, screws', 'other', 140, 0.5, 0.03, 'guess'),
  ],
  wheels: [{ id: 'left', name: 'Left wheel', x: 0.335, y: -0.17, z: -0.162 }, { id: 'right', name: 'Right wheel', x: 0.335, y: 0.17, z: -0.162 }, { id: 'tail-wheel', name: 'Tail wheel', x: 1.2, y: 0, z: -0.02 }],
  limits: { longestPiece: 1.3, printer: { length: 0.25, width: 0.21, height: 0.21 }, sheet: { length: 1, width: 0.1 } },
  payload: { name: 'Sample tube', unitMass: 0.08, x: 0.3, z: -0.03, pitch: 0.045, perRow: 2, basis: 'weighed' },
  loadings: [{ id: 'ferry', name: 'Ferry', count: 0 }, ...tubes.map((n) => ({ id: `tubes-${n}`, name: `${n} tubes`, count: n }))],
  scale: [],
  power: {
    battery: { series: 4, parallel: 1, capacity: 2600 * MAH, cellResistance: 0.007, maxC: 30, usable: 0.85 },
    esc: { resistance: 0.006, maxCurrent: 40 },
    motor: { kv: 620 * RPM_PER_VOLT, resistance: 0.06, noLoadCurrent: 0.9, maxCurrent: 32 },
    propeller: { diameter: 10 * INCH, pitch: 6 * INCH, blades: 2, x: 0, z: 0 },
    avionicsCurrent: 0.5,
    wire: { length: 0.1, area: 2.08e-6 },
    supply: [
      { id: 'main', name: 'Flight pack', kind: 'pack', feeds: [], volts: 14.8, rating: 78, draw: 0, minVolts: null, maxVolts: null, vital: false },
      { id: 'esc', name: 'Controller', kind: 'controller', feeds: ['main'], volts: null, rating: 40, draw: 16, minVolts: 9, maxVolts: 17, vital: false },
      { id: 'bec', name: 'Regulator in the controller', kind: 'regulator', feeds: ['esc'], volts: 5, rating: 3, draw: 0, minVolts: null, maxVolts: null, vital: false },
      { id: 'receiver', name: 'Receiver', kind: 'receiver', feeds: ['bec'], volts: null, rating: null, draw: 0.1, minVolts: 4, maxVolts: 8.4, vital: true },
      { id: 'servos', name: 'Four servos', kind: 'servo', feeds: ['bec'], volts: null, rating: null, draw: 2.2, minVolts: 4.5, maxVolts: 6.5, vital: true },
    ],
  },
  swaps: [
    { id: 'prop-10x6', kind: 'propeller', label: 'P1 10 × 6', mass: 0.034, weighed: true, x: null, note: 'with hub; on the aircraft now', data: { diameter: 10 * INCH, pitch: 6 * INCH, blades: 2 } },
    { id: 'prop-11x5_5', kind: 'propeller', label: 'P2 11 × 5.5', mass: 0.039, weighed: true, x: null, note: 'for the boardwalk', data: { diameter: 11 * INCH, pitch: 5.5 * INCH, blades: 2 } },
    { id: 'prop-9x6', kind: 'propeller', label: 'P3 9 × 6 sport', mass: 0.041, weighed: true, x: null, note: 'stiff, for speed', data: { diameter: 9 * INCH, pitch: 6 * INCH, blades: 2, family: 'sport' } },
    { id: 'pack-a', kind: 'pack', label: 'Pack A 2600', mass: 0.274, weighed: true, x: null, note: '30 flights old', data: { series: 4, parallel: 1, capacity: 2600 * MAH, cellResistance: 0.007, maxC: 30, usable: 0.85 } },
    { id: 'pack-b', kind: 'pack', label: 'Pack B 3300', mass: 0.352, weighed: true, x: null, note: 'new', data: { series: 4, parallel: 1, capacity: 3300 * MAH, cellResistance: 0.0055, maxC: 30, usable: 0.85 } },
  ],
  phases: [
    { id: 'roll', name: 'Boardwalk', kind: 'ground', loading: 'tubes-8', time: 4, speed: null, flown: true },
    { id: 'climb', name: 'Climb to 15 m', kind: 'climb', loading: 'tubes-8', time: 6, speed: null, flown: true },
    { id: 'laps', name: 'Laps', kind: 'cruise', loading: 'tubes-8', time: 285, speed: null, flown: false },
    { id: 'down', name: 'Glide and land', kind: 'glide', loading: 'tubes-8', time: 20, speed: null, flown: true },
  ],
  claims: { payload: null, hoverPower: null, topSpeed: null, flightTime: null, thrust: 16.5, current: 17 },
  structure: {
    spar: { kind: 'tube', outer: 0.01, wall: 0.001, material: 'carbon-tube' },
    chordPlace: 0.28, requiredLoadFactor: 4, requiredNegative: 2, safetyFactor: 1.5,
  },
  flight: { turnBank: 50 * DEG, lapThrottle: 0.8, reserve: 0.15, liftOffFactor: 1.15, groundCl: 0.35, marginMin: 0.08, marginMax: 0.2 },
  basis: {
    'power.motor.kv': 'claimed', 'power.motor.resistance': 'claimed', 'power.motor.noLoadCurrent': 'claimed', 'power.motor.maxCurrent': 'claimed',
    'power.battery.capacity': 'claimed', 'power.battery.cellResistance': 'guess', 'power.battery.maxC': 'claimed',
    'power.propeller.diameter': 'catalogue', 'power.propeller.pitch': 'catalogue', 'power.esc.maxCurrent': 'claimed',
  },
};

/** The Bittern as first drawn: version 1 of the demo. A fresh copy each call. */
export function bitternDocument(): DesignDocument {
  return structuredClone({ schemaVersion: SCHEMA_VERSION as typeof SCHEMA_VERSION, brief, design, calibration: priorCalibration() });
}
