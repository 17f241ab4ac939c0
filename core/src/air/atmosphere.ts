/**
 * Air. Source: US Standard Atmosphere 1976 [USSA76], equations by number; Sutherland viscosity, eq. 51.
 * Valid from -2000 m to 11 000 m. Vapour by Magnus' formula over water (WMO-No. 8, annex 4.B, from memory) lowers the density;
 * what it does to viscosity and sound is left out.
 */
import { requireInRange } from '../numeric';

export const G0 = 9.80665;
const R_UNIVERSAL = 8.31432;
const M0 = 0.0289644;
export const R_AIR = R_UNIVERSAL / M0;
const T0 = 288.15;
const P0 = 101325;
const L0 = -0.0065;
const S_SUTHERLAND = 110.4;
const BETA = 1.458e-6;
const GAMMA = 1.4;

export interface Air {
  /** [K] */ temperature: number;
  /** [Pa] */ pressure: number;
  /** [kg/m3] */ density: number;
  /** dynamic [Pa s] */ viscosity: number;
  /** [m/s] */ soundSpeed: number;
  /** altitude in the standard atmosphere with this density [m] */ densityAltitude: number;
}

/** Standard temperature [K] at geopotential altitude H [m], -2000 to 11 000. [USSA76] 23 */
export function isaTemperature(altitude: number): number {
  requireInRange('geopotential altitude', altitude, -2000, 11000, 'm');
  return T0 + L0 * altitude;
}

/** Standard pressure [Pa] at geopotential altitude H [m], -2000 to 11 000. [USSA76] 33a */
export function isaPressure(altitude: number): number {
  return P0 * (isaTemperature(altitude) / T0) ** (-G0 / (R_AIR * L0));
}

/** Density of the standard day at sea level [kg/m3], 1.225: where nobody says what day it is. [USSA76] */
export const standardDensity = (): number => isaPressure(0) / (R_AIR * T0);

/** Dynamic viscosity [Pa s] at T [K], 150 to 500. [USSA76] 51 */
export function sutherlandViscosity(temperature: number): number {
  requireInRange('temperature', temperature, 150, 500, 'K');
  return (BETA * temperature ** 1.5) / (temperature + S_SUTHERLAND);
}

/** Weight of vapour over that of dry air at the same pressure. */
const VAPOUR = 0.622;

/** Pressure of saturated vapour over water [Pa] at T [K]. Magnus; WMO-No. 8 (from memory). */
export function saturation(temperature: number): number {
  const t = temperature - 273.15;
  return 611.2 * Math.exp((17.62 * t) / (243.12 + t));
}

/**
 * Air at a site: standard pressure for the elevation, the site's own temperature.
 * @param elevation geopotential altitude [m], -2000 to 11 000
 * @param temperature [K], 150 to 500; the standard one where left out
 * @param humidity relative, 0 to 1; dry where left out
 */
export function airAt(elevation: number, temperature?: number, humidity = 0): Air {
  const p = isaPressure(elevation);
  const T = temperature ?? isaTemperature(elevation);
  const mu = sutherlandViscosity(T);
  requireInRange('relative humidity', humidity, 0, 1);
  // [USSA76] 42, with vapour of 0.622 of the weight of the air it stands for
  const rho = (p - (1 - VAPOUR) * humidity * saturation(T)) / (R_AIR * T);
  const rho0 = P0 / (R_AIR * T0);
  const exponent = -G0 / (R_AIR * L0) - 1;
  return {
    temperature: T,
    pressure: p,
    density: rho,
    viscosity: mu,
    soundSpeed: Math.sqrt(GAMMA * R_AIR * T), // 50
    densityAltitude: (T0 / L0) * ((rho / rho0) ** (1 / exponent) - 1),
  };
}
