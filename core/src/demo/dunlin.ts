/** Dunlin: six rotors that set seed darts in a row on a bare mudbank of the marsh. All figures are made up. */
import { multirotor } from '../layout';
import {
  FILE_FORMAT,
  priorCalibration,
  SCHEMA_VERSION,
  type Design,
  type DesignDocument,
  type ProjectFile,
  type State,
} from '../design';
import { starterDocument } from './starter';
import { fresh } from './fresh';
import { ROW } from './missions';

/** Darts aboard at the start, and what one weighs [kg]. */
const DARTS = 16,
  DART = 0.022;

const hovering = (id: string, name: string, count: number): State => ({ id, name, count, hover: true });

function design(): Design {
  const base = starterDocument().design;
  const bare: Design = {
    ...base,
    payload: {
      ...base.payload,
      name: 'Seed dart',
      unitMass: DART,
      perRow: 4,
      basis: 'weighed',
    },
    states: [
      hovering('darts-16', 'All darts aboard', DARTS),
      hovering('darts-8', 'Half the row set', DARTS / 2),
      hovering('darts-0', 'Row set', 0),
    ],
    scale: [],
  };
  const made = multirotor(bare, { count: 6, mass: 2.9, carried: DARTS * DART, cells: 6 });
  const rack = { id: 'rack', name: 'Dart rack and latches', planned: { kind: 'mass' as const, mass: 0.18 } };
  return {
    ...made,
    items: [
      ...made.items,
      {
        ...made.items[0],
        ...rack,
        group: 'other',
        basis: 'weighed',
        spread: 0.02,
        weighed: 0.184,
        z: -0.05,
        movable: null,
      },
    ],
    payload: { ...made.payload, pitch: 0.03, x: made.payload.x - 0.045 },
    structure: {
      ...made.structure,
      arms: [
        {
          id: 'arm',
          name: 'Rotor arm',
          kind: 'arm',
          length: 0.3,
          count: 6,
          shape: { kind: 'tube', outer: 0.016, wall: 0.001, material: 'carbon-tube' },
        },
      ],
    },
  };
}

export function dunlinDocument(): DesignDocument {
  const base = starterDocument();
  return {
    schemaVersion: SCHEMA_VERSION,
    brief: {
      ...base.brief,
      purpose:
        'Sets sixteen seed darts in a row on a mudbank that nobody may walk on, 300 m off the boardwalk, and comes back with what is left in the pack. Each dart is let go from 4 m, a metre from the last.',
      site: { ...base.brief.site, wind: 4, stripLength: 20, surface: 'boards', rollingFriction: 0.06 },
      missions: [ROW],
      requirements: [
        {
          id: 'time',
          quantity: 'hoverTime',
          state: 'darts-16',
          op: 'atLeast',
          min: 600,
          max: null,
          rule: 'the row and both ways, twice over',
          wish: false,
        },
        {
          id: 'wind',
          quantity: 'windMargin',
          state: 'all',
          op: 'atLeast',
          min: 3,
          max: null,
          rule: 'own rule: 3 m/s left beyond the gusts',
          wish: false,
        },
        {
          id: 'lift',
          quantity: 'hoverMargin',
          state: 'darts-16',
          op: 'atLeast',
          min: 2,
          max: null,
          rule: 'Rule D2',
          wish: false,
        },
      ],
      tasks: [],
      rivals: [],
      watch: [
        'mass@darts-16',
        'hoverPower@darts-16',
        'hoverTime@darts-16',
        'hoverMargin@darts-16',
        'rotorLoad@darts-16',
        'rotorOut@darts-16',
        'rotorTopSpeed@darts-16',
        'windMargin@darts-16',
      ],
    },
    design: design(),
    calibration: priorCalibration(),
  };
}

/** A fresh copy each call. */
export function dunlinProject(): ProjectFile {
  return fresh({
    format: FILE_FORMAT as typeof FILE_FORMAT,
    schemaVersion: SCHEMA_VERSION as typeof SCHEMA_VERSION,
    project: { name: 'Mudbank', aircraft: 'Dunlin' },
    versions: [
      {
        key: 'v1',
        name: 'Dunlin 1',
        parent: null,
        reason: 'First list of parts.',
        document: dunlinDocument(),
      },
    ],
    airframes: [],
    tests: [],
  });
}
