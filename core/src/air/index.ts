export {
  G0,
  R_AIR,
  airAt,
  isaPressure,
  isaTemperature,
  saturation,
  standardDensity,
  sutherlandViscosity,
} from './atmosphere';
export type { Air } from './atmosphere';
