/** Rubber motors: what they hold, and the flight on them. */
import { say, type Said } from '../words';
import { G0 } from '../air';
import { powertrainOf, type Design, type Factors, type Powertrain } from '../design';
import { dragAt, type DragTable } from '../flight';
import { itemMass, itemOfPart } from '../mass';
import {
  rubberFlight as flown,
  rubberMotor,
  type FlaringCurves,
  type RubberData,
  type RubberFlight,
  type RubberMotor,
} from '../power';
import { air } from './air';
import { balance } from './balance';
import { METHOD_SPREAD, off } from './causes';
import { actingOnDrag, DRAG_CAUSES, dragTable } from './drag';
import { quantitiesOf, remark, part } from './quantity';
import { shape } from './shape';
import { rubberBlades, trust } from './speeds';
import { step } from './step';

const RUBBER =
  'Rubber by section, length and mass; its torque against blade elements with flare, quasi-steady';

/** Breaking turns scatter less than energy, and less again where one was broken to find out. */
const TURNS_SHARE = 0.5,
  BROKEN_SPREAD = 0.02;

type Rubber = NonNullable<Powertrain['rubber']>;

/** The motor of another batch, by so many spreads. */
function batch(rubber: Rubber, spreads: number): Rubber & { vigour: number } {
  const vigour = off('rubber', spreads);
  if (spreads === 0) return { ...rubber, vigour };
  const turns = rubber.breakTurns ? BROKEN_SPREAD : TURNS_SHARE * METHOD_SPREAD.rubber;
  return { ...rubber, vigour, breakTurns: rubberMotor(rubber).breakTurns * (1 + spreads * turns) };
}

/** null: it has no rubber motor. */
const rubberBatch = step({
  id: 'rubber motor',
  scope: 'all',
  needs: {},
  causes: ['rubber'],
  slice: ({ design }) => ({ rubber: powertrainOf(design).rubber }),
  run: (_, { rubber }, f): RubberMotor | null => (rubber ? rubberMotor(batch(rubber, f.rubber)) : null),
});

/** One state of a rubber model, with what was learnt. */
export interface RubberCase {
  rubber: Rubber;
  blades: FlaringCurves;
  density: number;
  area: number;
  mass: number;
  table: DragTable;
  f: Pick<Factors, 'dragArea' | 'induced' | 'sectionDrag' | 'thrust' | 'torque'>;
}

/**
 * The rubber flight of one state.
 * @param other motor and flare in place of the design's, the mass follows the motor; `open` takes the roof off
 */
export function flyRubber(
  { rubber, blades, density, area, mass, table, f }: RubberCase,
  other: { motor?: RubberData; flare?: number; blades?: FlaringCurves; open?: boolean } = {},
): RubberFlight {
  const motor = other.motor ?? rubber;
  return flown({
    motor,
    blades: other.blades ?? blades,
    flare: other.flare ?? rubber.flare,
    mass: mass + rubberMotor(motor).mass - rubberMotor(rubber).mass,
    area,
    trimCl: rubber.trimCl,
    density,
    gravity: G0,
    drag: (speed, lift) => dragAt(table, speed, lift, density, f).total,
    ceiling: other.open ? null : rubber.ceiling,
    thrustFactor: f.thrust,
    torqueFactor: f.torque,
  });
}

/** The line of the mass list that is the rubber motor. */
export function rubberItem(design: Pick<Design, 'items'>): Design['items'][number] | undefined {
  return itemOfPart(design, 'rubber');
}

/** What the mass list says of it [kg]; null when it has none. */
export function listedRubber(design: Design): number | null {
  const item = rubberItem(design);
  return item ? itemMass(item, design) : null;
}

/** Whether the rubber is in the aircraft in this state. */
export function hasRubber(design: Pick<Design, 'items'>, state: { absent?: string[] }): boolean {
  const item = rubberItem(design);
  return item !== undefined && !state.absent?.includes(item.id);
}

interface Flights {
  readonly flight: RubberFlight;
  /** without the roof */ readonly free: RubberFlight;
}

/** null: no rubber is aboard. */
export const rubberFlight = step({
  id: 'rubber flight',
  scope: 'state',
  needs: { air, shape, balance, dragTable, rubberBlades, trust },
  causes: [...DRAG_CAUSES, 'thrust', 'torque', 'rubber'],
  slice: ({ design }, state) => ({
    rubber: powertrainOf(design).rubber && hasRubber(design, state) ? powertrainOf(design).rubber : undefined,
  }),
  run: (r, { rubber }, causes): Flights | null => {
    if (!rubber || !r.rubberBlades) return null;
    const of: RubberCase = {
      rubber: batch(rubber, causes.rubber),
      blades: r.rubberBlades,
      density: r.air.density,
      area: r.shape.wing.area,
      mass: r.balance.state.mass,
      table: r.dragTable,
      f: { ...actingOnDrag(causes, r.trust), thrust: causes.thrust, torque: causes.torque },
    };
    const flight = flyRubber(of);
    return { flight, free: flight.touched !== null ? flyRubber(of, { open: true }) : flight };
  },
});

function timeRemarks(r: Flights | null): Said[] {
  if (r?.flight.end === 'does not fly') return [say('does-not-fly', {})];
  return remark(r !== null && r.flight.touched !== null, 'under-ceiling', {});
}

const RUBBERS = {
  ...quantitiesOf(rubberBatch, {
    rubberMass: {
      name: 'Rubber motor',
      kind: 'mass',
      station: 'power',
      formula: 'density · strands · width · thickness · length; it is part of the flying mass',
      method: RUBBER,
      read: (r) => r?.mass,
    },
    breakTurns: {
      name: 'Turns at breaking',
      kind: 'count',
      station: 'power',
      formula: '8.7 · length / √section, or as found by breaking one',
      method: RUBBER,
      read: (r) => r?.breakTurns,
    },
    launchTurns: {
      name: 'Turns at launch',
      kind: 'count',
      station: 'power',
      formula: 'wound share · {breakTurns} − turns let off',
      method: RUBBER,
      read: (r) => r?.launchTurns,
    },
    launchTorque: {
      name: 'Torque at launch',
      kind: 'smallMoment',
      station: 'power',
      formula: 'torque curve at {launchTurns} of {breakTurns}',
      method: RUBBER,
      read: (r) => r?.launchTorque,
    },
  }),
  ...quantitiesOf(rubberFlight, {
    flightTime: {
      name: 'Flight time on rubber',
      kind: 'time',
      station: 'flight',
      formula: 'from the launch with {launchTurns} to the ground, at {mass} with {rubberMass} in it',
      method: RUBBER,
      better: 'more',
      read: (r) => r?.flight.time,
      remarks: timeRemarks,
    },
    peakHeight: {
      name: 'Greatest height on rubber',
      kind: 'distance',
      station: 'flight',
      formula: '∫ V · (T − D) / W, T from {launchTorque} down, as if there were no ceiling',
      method: RUBBER,
      // what it would reach: under the ceiling every launch has the same height, and a height learns nothing
      read: (r) => r?.free.peak,
      remarks: (r) => remark(r !== null && r.flight.touched !== null, 'ceiling-below', {}),
    },
    propellerRpm: {
      name: 'Mean propeller rotation',
      kind: 'rotation',
      station: 'power',
      formula: '({launchTurns} − {turnsLeft}) / {flightTime}',
      method: RUBBER,
      read: (r) => r?.flight.meanOmega,
    },
    turnsLeft: {
      name: 'Turns left at landing',
      kind: 'count',
      station: 'power',
      formula: '{launchTurns} − ∫ rotation',
      method: RUBBER,
      read: (r) => r?.flight.turnsLeft,
    },
  }),
};

export const RUBBERS_PART = part([rubberBatch, rubberFlight], RUBBERS);
