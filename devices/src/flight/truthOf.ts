/** A flight's hidden truth from a design: what the computation says of it with factors that nobody was told. */
import { assess, entryNamed, entryOf, type QuantityId } from '@skiametra/core/assess';
import { FACTOR_IDS, powertrainOf, priorCalibration, type DesignDocument } from '@skiametra/core/design';
import { DomainError } from '@skiametra/core/numeric';
import type { Truth } from '../truth';
import type { FlightTruth } from './truth';

/** An airspeed sensor that nobody has calibrated. */
const SENSOR = 1.06;
/** Of a pack at rest over one under load, where only that is known. */
const AT_REST = 1.2;

/**
 * @param state that is flown
 * @throws DomainError of a design without a motor
 */
export function flightTruth(doc: DesignDocument, state: string, factors: Truth): FlightTruth {
  if (powertrainOf(doc.design).unpowered)
    throw new DomainError(
      'out-of-range',
      'the simulated logger flies powered aircraft; this design has no motor',
    );
  const prior = priorCalibration(),
    mean = prior.mean.map((m, i) => factors[FACTOR_IDS[i]!] ?? m),
    ledger = assess(doc.brief, doc.design, { ...prior, mean });
  const at = (id: QuantityId, or?: number): number => {
    const value = (entryOf(ledger, id, state) ?? entryNamed(ledger, id, state))?.value ?? or;
    if (value === undefined || !Number.isFinite(value))
      throw new DomainError('out-of-range', `the simulated logger needs the ${id} of this state`);
    return value;
  };
  const { site } = doc.brief,
    from = site.windFrom ?? 0,
    area = at('wingArea'),
    stall = at('stallSpeed'),
    lap = at('lapSpeed', 1.6 * stall),
    full = at('staticPower', 0),
    volts = at('packVoltage', 11);
  return {
    mass: at('mass'),
    area,
    density: at('airDensity', 1.225),
    dragArea: at('dragArea'),
    inducedFactor: 1 / (Math.PI * at('aspectRatio') * at('spanEfficiency')),
    stallSpeed: stall,
    windEast: -site.wind * Math.sin(from),
    windNorth: -site.wind * Math.cos(from),
    groundRun: at('groundRun', 0.1),
    landingRun: Math.max(1, at('landingRun', 15)),
    liftOffSpeed: at('liftOffSpeed', 1.15 * stall),
    climbRate: Math.max(0.5, Math.min(at('climbRate', 2), 0.6 * lap)),
    climbSpeed: Math.max(1.3 * stall, 0.8 * lap),
    lapSpeed: lap,
    turnBank: doc.design.flight.turnBank,
    fullPower: full,
    lapPower: at('lapEnergy', 0.5 * full) / Math.max(1, at('lapTime', 1)),
    hoverPower: at('hoverPower', 0),
    volts: volts + AT_REST,
    packResistance: full > 0 ? (AT_REST * volts) / full : 0.05,
    airspeedFactor: SENSOR,
  };
}
