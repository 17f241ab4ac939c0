/** Spreads of a flight that the ledger does not tell of: of the state that is looked at. */
import type { Calibration, Mission } from '../design';
import { freeFlights, numbersOfFlight, type FlownNumber } from '../steps';
import type { Run } from './run';
import { Slopes, type Sides } from './uncertainty';

export interface Spreaded extends FlownNumber {
  /** standard uncertainty, SI */ readonly sigma: number;
}

/** @param state that flies it */
export function numbersWithSpread(
  run: Run,
  calibration: Calibration,
  mission: Mission,
  state: string,
): Spreaded[] {
  const numbers = (at: Run): FlownNumber[] => {
    const flight = at.maybe(freeFlights, state)?.of(mission.id);
    return flight ? numbersOfFlight(mission, flight) : [];
  };
  const slopes = new Slopes(run, calibration);
  const sides = [...slopes.causes]
    .filter((c) => freeFlights.reach.has(c))
    .map((cause): Sides => {
      const { up, down } = slopes.sidesOf(cause);
      return { cause, up: numbers(up).map((n) => n.value), down: numbers(down).map((n) => n.value) };
    });
  return numbers(run).map((n, i) => ({
    ...n,
    sigma: slopes.spreadOf(slopes.slopeOf(sides, i, state), state).sigma,
  }));
}
