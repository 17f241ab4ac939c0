/** What rubber and lift motors put into the ledger, for one vector of calibration factors. */
import { itemMass, itemOfPart } from '../mass';
import { G0 } from '../air';
import type { Design, Factors, Loading } from '../design';
import { dragAt, type DragTable } from '../flight';
import {
  buildDrive,
  hoverPoint,
  rubberFlight,
  rubberMotor,
  type Drive,
  type FlaringCurves,
  type PropellerCurve,
  type RubberData,
  type RubberFlight,
} from '../power';
import { contentKey } from '../numeric';
import type { Prepared } from './prepare';

type Put = (id: string, x: number, remark?: string) => void;

/** One state of a rubber model, with what was learnt. */
export interface RubberCase {
  design: Design;
  prep: Prepared;
  f: Factors;
  loading: Loading;
  mass: number;
  table: DragTable;
}

/**
 * The rubber flight of one state.
 * @param other motor and flare in place of the design's, the mass follows the motor; `open` takes the roof off
 */
export function flyRubber(
  { design, prep, f, mass, table }: RubberCase,
  other: { motor?: RubberData; flare?: number; blades?: FlaringCurves; open?: boolean } = {},
): RubberFlight {
  const r = design.power.rubber!,
    motor = other.motor ?? r;
  const { air, wing } = prep;
  return rubberFlight({
    motor,
    blades: other.blades ?? prep.rubberBlades!,
    flare: other.flare ?? r.flare,
    mass: mass + rubberMotor(motor).mass - rubberMotor(r).mass,
    area: wing.area,
    trimCl: r.trimCl,
    density: air.density,
    gravity: G0,
    drag: (speed, lift) => dragAt(table, speed, lift, air.density, f).total,
    ceiling: other.open ? null : r.ceiling,
    thrustFactor: f.thrust,
    torqueFactor: f.torque,
  });
}

/** Motor sizes of the whole design. */
export function rubberDesignValues(design: Design, v: Record<string, number>, vigour: number): void {
  const m = rubberMotor({ ...design.power.rubber!, vigour });
  v['rubberMass@all'] = m.mass;
  v['breakTurns@all'] = m.breakTurns;
  v['launchTurns@all'] = m.launchTurns;
  v['launchTorque@all'] = m.launchTorque;
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
export function hasRubber(design: Design, loading: Loading): boolean {
  const item = rubberItem(design);
  return item !== undefined && !loading.absent?.includes(item.id);
}

/** The flight with and without the roof, flown once for all that bears on it. */
function flights(of: RubberCase, vigour: number): { flight: RubberFlight; free: RubberFlight } {
  const { design, prep, f, loading, mass } = of,
    motor = { ...design.power.rubber!, vigour };
  const key = [loading.id, mass, prep.air.density, ...Object.values(f), contentKey(motor)].join(' ');
  const kept = prep.rubberFlights.get(key);
  if (kept) return kept;
  const flight = flyRubber(of, { motor }),
    made = { flight, free: flight.touched !== null ? flyRubber(of, { motor, open: true }) : flight };
  prep.rubberFlights.set(key, made);
  return made;
}

/** @param vigour energy that the rubber gives back over the usual */
export function rubberValues(of: RubberCase, put: Put, vigour: number): void {
  const { flight, free } = flights(of, vigour);
  const short =
    flight.end === 'does not fly'
      ? 'It does not hold itself up: more torque, less weight or more wing.'
      : flight.touched !== null
        ? 'It reaches the ceiling and stays under it; what hangs there ends such flights.'
        : undefined;
  put('flightTime', flight.time, short);
  // what it would reach: under the ceiling every launch has the same height, and a height learns nothing
  put('peakHeight', free.peak, flight.touched !== null ? 'The ceiling is below this.' : undefined);
  put('propellerRpm', flight.meanOmega);
  put('turnsLeft', flight.turnsLeft);
}

/** Lift motors of a design as one drive; the cruise drive itself where its shafts tilt; null where nothing lifts. */
export function liftDrive(
  design: Design,
  density: number,
  f: Parameters<typeof buildDrive>[2],
  lifter: PropellerCurve | null,
  cruise: Drive | null,
): Drive | null {
  const { lift, arrangement, battery, second, wire, avionicsCurrent } = design.power;
  if (lift && lifter)
    return buildDrive(
      {
        battery,
        ...(second ? { second } : {}),
        ...(wire ? { wire } : {}),
        esc: lift.esc,
        motor: lift.motor,
        propeller: { ...lift.propeller, x: 0, z: 0 },
        avionicsCurrent,
        arrangement: { count: Math.max(1, design.rotors?.length ?? 4), kind: 'apart', tilt: false },
      },
      density,
      f,
      lifter,
    );
  return arrangement?.tilt ? cruise : null;
}

export function hoverValues(design: Design, drive: Drive, mass: number, put: Put): void {
  const h = hoverPoint(drive, mass, G0, design.power.lift?.law ?? 'duty', design.flight.reserve);
  const weak = h.point.duty > 1 ? 'The lift motors cannot hold this weight.' : undefined;
  put('hoverPower', h.electric, weak);
  put('hoverThrottle', Math.min(h.throttle, 9));
  put('hoverMargin', h.thrustToWeight, weak);
  put('hoverTime', h.time);
  // a state that hangs on its rotors lasts as long as it hovers
  put('endurance', h.time);
}
