/** Crane: lift-and-cruise, swaps the box of a water-level gauge on a pontoon in the marsh. All figures are made up. */
import { linkParts } from '../mass';
import {
  FILE_FORMAT,
  SCHEMA_VERSION,
  layOut,
  powertrainOf,
  type Design,
  type DesignDocument,
  type ProjectFile,
} from '../design';
import { balanced, LAYOUT_TEMPLATES } from '../layout';
import { starterDocument } from './starter';
import { fresh } from './fresh';
import { wingSpar } from './laps';
import { ERRAND } from './missions';

const MAH = 3.6,
  INCH = 0.0254,
  RPM_PER_VOLT = (2 * Math.PI) / 60;

export function craneDocument(): DesignDocument {
  const base = starterDocument();
  const wing = base.design.surfaces.find((s) => s.id === 'wing')!;
  wing.stations = wing.stations.map((s) => ({ ...s, y: s.y * 1.3, chord: s.chord * 1.12 }));
  const part = (
    id: string,
    name: string,
    group: Design['items'][number]['group'],
    grams: number,
    x: number,
    z: number,
    more: Partial<Design['items'][number]> = {},
  ): Design['items'][number] => ({
    id,
    name,
    group,
    planned: { kind: 'mass', mass: grams / 1000 },
    basis: 'catalogue',
    spread: 0.05,
    weighed: null,
    x,
    y: 0,
    z,
    inWing: false,
    movable: null,
    ...more,
  });
  const d: Design = {
    ...base.design,
    items: [
      part('body-shell', 'Fuselage', 'structure', 520, 0.55, 0.01, { basis: 'guess', spread: 0.15 }),
      part('boom-tubes', 'Lift booms', 'structure', 150, 0.42, 0.05, { basis: 'calculated', spread: 0.1 }),
      part('motor', 'Cruise motor', 'propulsion', 150, 0.04, 0, { part: { kind: 'motor' } }),
      part('propeller', 'Propeller and hub', 'propulsion', 36, 0, 0, { part: { kind: 'propeller' } }),
      part('esc', 'Cruise controller', 'propulsion', 48, 0.12, -0.02, { part: { kind: 'controller' } }),
      part('lift-escs', 'Lift controllers', 'propulsion', 120, 0.43, 0.05),
      part('battery', 'Battery', 'battery', 920, 0.3, -0.01, {
        part: { kind: 'pack' },
        box: { length: 0.15, width: 0.048, height: 0.046 },
        movable: { from: 0.2, to: 0.5 },
      }),
      part('autopilot', 'Autopilot and receiver', 'electronics', 110, 0.45, 0.02, {
        movable: { from: 0.35, to: 0.6 },
      }),
      part('servos', 'Servos and rods', 'electronics', 90, 0.6, 0.02),
      part('cradle', 'Gauge cradle and latch', 'other', 180, 0.42, -0.04, { basis: 'guess', spread: 0.15 }),
      part('legs', 'Landing legs', 'gear', 140, 0.44, -0.16, { basis: 'guess', spread: 0.15 }),
    ],
    payload: {
      name: 'Gauge box',
      unitMass: 0.5,
      x: 0.42,
      z: -0.1,
      pitch: 0,
      perRow: 1,
      basis: 'weighed',
    },
    states: [
      { id: 'hover-full', name: 'Hover, gauge box aboard', count: 1, hover: true, addedDrag: 0.004 },
      { id: 'cruise-full', name: 'Cruise, gauge box aboard', count: 1 },
      { id: 'cruise-empty', name: 'Cruise, no box', count: 0 },
    ],
    ...layOut({
      ...powertrainOf(base.design),
      battery: {
        series: 6,
        parallel: 1,
        capacity: 6200 * MAH,
        cellResistance: 0.0035,
        maxC: 30,
        usable: 0.8,
      },
      esc: { resistance: 0.004, maxCurrent: 60 },
      motor: { kv: 480 * RPM_PER_VOLT, resistance: 0.05, noLoadCurrent: 1, maxCurrent: 45 },
      propeller: { diameter: 11 * INCH, pitch: 7 * INCH, blades: 2, x: 0, z: 0 },
      avionicsCurrent: 0.8,
      wire: { length: 0.15, area: 3.3e-6 },
      lift: {
        motor: {
          kv: 400 * RPM_PER_VOLT,
          resistance: 0.07,
          noLoadCurrent: 0.9,
          noLoadVolts: 10,
          maxCurrent: 32,
          mass: 0.115,
        },
        esc: { resistance: 0.006, maxCurrent: 40 },
        propeller: { diameter: 15.5 * INCH, pitch: 5.2 * INCH, blades: 2, family: 'multirotor' },
        law: 'duty',
      },
      supply: [
        {
          id: 'main',
          name: 'Flight pack',
          kind: 'pack',
          feeds: [],
          volts: 22.2,
          rating: 186,
          draw: 0,
          minVolts: null,
          maxVolts: null,
          vital: false,
        },
        {
          id: 'radio-pack',
          name: 'Radio pack',
          kind: 'pack',
          feeds: [],
          volts: 7.4,
          rating: 20,
          draw: 0,
          minVolts: null,
          maxVolts: null,
          vital: false,
        },
        {
          id: 'bec',
          name: 'Regulator',
          kind: 'regulator',
          feeds: ['main'],
          volts: 5,
          rating: 8,
          draw: 0,
          minVolts: 9,
          maxVolts: 26,
          vital: false,
        },
        {
          id: 'backup',
          name: 'Second regulator',
          kind: 'regulator',
          feeds: ['radio-pack'],
          volts: 5,
          rating: 5,
          draw: 0,
          minVolts: 6,
          maxVolts: 8.6,
          vital: false,
        },
        {
          id: 'autopilot',
          name: 'Autopilot and receiver',
          kind: 'receiver',
          feeds: ['bec', 'backup'],
          volts: 5,
          rating: null,
          draw: 0.9,
          minVolts: 4.6,
          maxVolts: 5.5,
          vital: true,
        },
        {
          id: 'servos',
          name: 'Servos',
          kind: 'servo',
          feeds: ['bec', 'backup'],
          volts: null,
          rating: null,
          draw: 3.2,
          minVolts: 4.5,
          maxVolts: 6.5,
          vital: true,
        },
        {
          id: 'lift-escs',
          name: 'Lift controllers',
          kind: 'controller',
          feeds: ['main'],
          volts: null,
          rating: 160,
          draw: 90,
          minVolts: 18,
          maxVolts: 25.5,
          vital: false,
        },
        {
          id: 'cruise-esc',
          name: 'Cruise controller',
          kind: 'controller',
          feeds: ['main'],
          volts: null,
          rating: 60,
          draw: 32,
          minVolts: 18,
          maxVolts: 25.5,
          vital: false,
        },
        {
          id: 'latch',
          name: 'Latch servo',
          kind: 'servo',
          feeds: ['bec'],
          volts: null,
          rating: null,
          draw: 0.6,
          minVolts: 4.5,
          maxVolts: 8.4,
          vital: false,
        },
      ],
    }),
    claims: { payload: 0.5, hoverPower: 330, topSpeed: null, flightTime: null, thrust: null, current: null },
    flight: { ...base.design.flight, lapThrottle: 0.58 },
    structure: {
      ...base.design.structure,
      members: wingSpar({ kind: 'tube', outer: 0.018, wall: 0.0012, material: 'carbon-tube' }),
    },
    wheels: [
      { id: 'fl', name: 'Front left leg', x: 0.32, y: -0.2, z: -0.2 },
      { id: 'fr', name: 'Front right leg', x: 0.32, y: 0.2, z: -0.2 },
      { id: 'rear', name: 'Rear leg', x: 0.62, y: 0, z: -0.2 },
    ],
  };
  const drawn = LAYOUT_TEMPLATES.find((t) => t.id === 'lift-cruise')!.make(d);
  const powertrain = powertrainOf(drawn),
    rotors = powertrain.rotors!;
  const design = balanced(
    linkParts({
      ...drawn,
      ...layOut({ ...powertrain, rotors: rotors.map((r) => ({ ...r, maxThrust: 24, diameter: 0.4 })) }),
      structure: {
        ...d.structure,
        arms: [
          {
            id: 'lift-boom',
            name: 'Lift boom',
            kind: 'arm',
            length: 0.32,
            count: 4,
            shape: { kind: 'tube', outer: 0.016, wall: 0.001, material: 'carbon-tube' },
          },
          {
            id: 'legs',
            name: 'Landing legs',
            kind: 'leg',
            length: 0.2,
            count: 3,
            // a descent of one metre a second
            drop: 0.05,
            shape: { kind: 'strip', height: 0.004, width: 0.025, material: 'carbon-pultruded' },
          },
        ],
      },
      payload: { ...d.payload, x: rotors.reduce((s, r) => s + r.x, 0) / 4 },
      wheels: d.wheels,
      dragItems: [
        {
          id: 'legs',
          name: 'Legs',
          dragArea: 0.003,
          note: 'three round tubes',
          from: { kind: 'wire', length: 0.2, diameter: 0.008, count: 3 },
        },
        {
          id: 'rotors',
          name: 'Stopped lift rotors',
          dragArea: 0.0052,
          note: 'guess',
          part: { kind: 'lift rotor' },
        },
        { id: 'openings', name: 'Hinges, cooling', dragArea: 0.001, note: 'guess' },
      ],
    }),
  );
  return {
    ...base,
    design,
    brief: {
      ...base.brief,
      missions: [...base.brief.missions.filter((m) => m.id === 'laps'), ERRAND],
      purpose:
        'Carry a fresh 0.5 kg gauge box 2 km over the reeds on the wing, set down on the pontoon, swap it for the full one with the motors off, and bring that home. Hover is for the ends only: it costs four times the cruise power.',
      requirements: [
        {
          id: 'mass',
          quantity: 'mass',
          state: 'all',
          op: 'atMost',
          min: null,
          max: 7,
          rule: 'own limit, rotors',
          wish: false,
        },
        {
          id: 'margin',
          quantity: 'staticMargin',
          state: 'all',
          op: 'between',
          min: 0.08,
          max: 0.22,
          rule: 'own rule',
          wish: false,
        },
        {
          id: 'lift',
          quantity: 'hoverMargin',
          state: 'hover-full',
          op: 'atLeast',
          min: 2,
          max: null,
          rule: 'own rule, gusts over the reeds',
          wish: false,
        },
        {
          id: 'stall',
          quantity: 'stallSpeed',
          state: 'cruise-full',
          op: 'atMost',
          min: null,
          max: 13,
          rule: 'change-over below 16 m/s',
          wish: false,
        },
      ],
      tasks: [
        {
          id: 'endurance',
          name: 'Minutes on the wing',
          mission: 'laps',
          formula: 'endurance / 60',
          state: 'each',
        },
      ],
      rivals: [],
      watch: [
        'mass@cruise-full',
        'hoverPower@hover-full',
        'hoverMargin@hover-full',
        'hoverTime@hover-full',
        'stallSpeed@cruise-full',
        'staticMargin@cruise-full',
        'endurance@cruise-full',
        'allowedLoadFactor@cruise-full',
      ],
    },
  };
}

/** A fresh copy each call. */
export function craneProject(): ProjectFile {
  return fresh({
    format: FILE_FORMAT as typeof FILE_FORMAT,
    schemaVersion: SCHEMA_VERSION as typeof SCHEMA_VERSION,
    project: { name: 'Pontoon gauge', aircraft: 'Crane' },
    versions: [
      {
        key: 'v1',
        name: 'Crane 1',
        parent: null,
        reason: 'First drawing: four lift rotors about the CG of the wing.',
        document: craneDocument(),
      },
    ],
    airframes: [],
    tests: [],
  });
}
