/** One flight of a design as the simulated logger has it: what is flown, what the logger is, what it does wrong. */
import type { FlightLog } from '@skiametra/core/log';
import { courseOf, type DesignDocument } from '@skiametra/core/design';
import { DEMO_TRUTH, type Truth } from '../truth';
import { flyPlan } from './pilot';
import { recordFlight, type Recorder } from './recorder';
import { NO_FAULTS, type FlightTruth, type LoggerFaults, type Manoeuvre } from './truth';
import { flightTruth } from './truthOf';

export interface SimulatedFlight {
  readonly log: FlightLog;
  readonly truth: FlightTruth;
}

export interface FlightWish {
  readonly laps: number;
  readonly seed: number;
  /** glides at four speeds and stalls too */ readonly polar?: boolean;
  readonly faults?: Partial<LoggerFaults>;
  readonly recorder?: Partial<Omit<Recorder, 'faults'>>;
  readonly factors?: Truth;
  readonly begun?: string;
}

const LOW = 40,
  HIGH = 150;

function planOf(straight: number, truth: FlightTruth, { laps, polar }: FlightWish): Manoeuvre[] {
  const glides = [1.3, 1.6, 2, 2.3].flatMap((k): Manoeuvre[] => [
    { kind: 'glide', speed: k * truth.stallSpeed, seconds: 13 },
    { kind: 'straight', seconds: 3 },
    { kind: 'turn', by: Math.PI },
  ]);
  const again: Manoeuvre = { kind: 'climb', to: HIGH },
    stall: Manoeuvre[] = [{ kind: 'stall' }, { kind: 'straight', seconds: 5 }, { kind: 'turn', by: Math.PI }];
  return [
    { kind: 'stand', seconds: 8 },
    { kind: 'run' },
    { kind: 'climb', to: LOW },
    { kind: 'circles', rounds: 2 },
    { kind: 'laps', count: laps, straight },
    ...(polar ? [again, ...glides, again, ...stall, ...stall, ...stall] : []),
    { kind: 'turn', by: Math.PI },
    { kind: 'land' },
    { kind: 'stand', seconds: 8 },
  ];
}

/** One flight of a known truth. @param straight of the course [m] */
export function simulateTruth(truth: FlightTruth, straight: number, wish: FlightWish): FlightLog {
  const recorder: Recorder = {
    rate: 5,
    airspeed: true,
    load: true,
    power: true,
    velocity: true,
    ...wish.recorder,
    faults: { ...NO_FAULTS, ...wish.faults },
  };
  return recordFlight(flyPlan(truth, planOf(straight, truth, wish)), truth, recorder, wish.seed, wish.begun);
}

const USUAL_STRAIGHT = 150;

/**
 * Deterministic for a seed.
 * @param state an id @throws DomainError of a design that the logger cannot fly
 */
export function simulateFlight(doc: DesignDocument, state: string, wish: FlightWish): SimulatedFlight {
  const truth = flightTruth(doc, state, wish.factors ?? DEMO_TRUTH),
    straight = courseOf(doc.brief)?.straight ?? USUAL_STRAIGHT;
  return { log: simulateTruth(truth, straight, wish), truth };
}
