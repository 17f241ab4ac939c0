/** The lift motors of a design as one drive. */
import type { Powertrain } from '../design';
import { buildDrive, type Drive, type DriveParts } from './electric';
import type { PropellerCurve } from './propeller';

export type LiftParts = Pick<Powertrain, 'lift'> & DriveParts;

/**
 * The lift motors; the cruise drive itself where its shafts tilt; null where nothing lifts.
 * @param rotors how many there are; four where none are drawn
 */
export function liftDrive(
  power: LiftParts,
  rotors: number | undefined,
  density: number,
  f: Parameters<typeof buildDrive>[2],
  lifter: PropellerCurve | null,
  cruise: Drive | null,
): Drive | null {
  const { lift, arrangement, avionicsCurrent } = power;
  if (lift && lifter) {
    const { battery, second, wire } = lift;
    return buildDrive(
      {
        battery,
        ...(second ? { second } : {}),
        ...(wire ? { wire } : {}),
        esc: lift.esc,
        motor: lift.motor,
        propeller: { ...lift.propeller, x: 0, z: 0 },
        avionicsCurrent,
        arrangement: { count: Math.max(1, rotors ?? 4), kind: 'apart', tilt: false },
      },
      density,
      f,
      lifter,
    );
  }
  return arrangement?.tilt ? cruise : null;
}
