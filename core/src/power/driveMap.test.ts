/** The table of a drive against the drive itself. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bitternDocument } from '../demo';
import { factorsOf, powertrainOf, priorCalibration } from '../design';
import { driveMap, powerFor } from './driveMap';
import { buildDrive, operate, operateForThrust } from './electric';

const { battery, wire, esc, motor, propeller, avionicsCurrent } = powertrainOf(bitternDocument().design),
  drive = buildDrive(
    { battery, wire, esc, motor, propeller, avionicsCurrent },
    1.22,
    factorsOf(priorCalibration().mean),
  ),
  speeds = Array.from({ length: 25 }, (_, i) => i * 1.4),
  map = driveMap(drive, speeds);

describe('a drive over speed and throttle', () => {
  it('gives the power of the drive to within 2 %, where the throttle is open by a quarter or more', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 25, noNaN: true }),
        fc.double({ min: 0.25, max: 1, noNaN: true }),
        (v, throttle) => {
          const { thrust } = operate(drive, throttle, v);
          fc.pre(thrust > 0.3);
          const exact = operateForThrust(drive, thrust, v),
            got = powerFor(map, thrust, v);
          fc.pre(!Number.isNaN(got));
          expect(got / exact.power).toBeGreaterThan(0.98);
          expect(got / exact.power).toBeLessThan(1.02);
        },
      ),
      { seed: 17, numRuns: 300 },
    );
  });
  it('says nothing of more thrust than there is, nor of speeds it does not hold', () => {
    const most = operate(drive, 1, 10).thrust;
    expect(powerFor(map, 1.05 * most, 10)).toBeNaN();
    expect(powerFor(map, 1, 60)).toBeNaN();
    expect(powerFor(map, 1, -1)).toBeNaN();
  });
});
