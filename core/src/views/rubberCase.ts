/** What a flight on rubber of one state is made of, as it is known. */
import type { Powertrain } from '../design';
import { actingOnDrag, air, balance, dragTable, rubberBlades, shape, trust, type RubberCase } from '../steps';
import type { Run } from '../assess';

/** @param state id of a state of a design with a rubber motor */
export function rubberCase(run: Run, state: string, rubber: NonNullable<Powertrain['rubber']>): RubberCase {
  const { thrust, torque } = run.causes;
  return {
    rubber,
    blades: run.of(rubberBlades)!,
    density: run.of(air).density,
    area: run.of(shape).wing.area,
    mass: run.of(balance, state).state.mass,
    table: run.of(dragTable, state),
    f: { ...actingOnDrag(run.causes, run.of(trust)), thrust, torque },
  };
}
