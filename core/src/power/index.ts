export { propellerCurve, propellerLoad, thrustCoefficient, powerCoefficient, PITCH_RATIO_RANGE } from './propeller';
export type { PropellerCurve, PropellerSize } from './propeller';
export { buildDrive, lipoOpenCircuit, operate, operateForThrust, MEAN_SOC } from './electric';
export type { Drive, OperatingPoint } from './electric';
