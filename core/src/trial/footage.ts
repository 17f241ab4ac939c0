/**
 * Figures read off a picture, where the log is lost: two opposite passes, a climb by its beginning and end, amps and volts.
 * Opposite ground speeds: airspeed is the mean, wind half the difference. Power is told of volts under load alone.
 */
import type { Measurement, TestBody } from '../design';

type Footage = NonNullable<TestBody['record']['footage']>;

/** What a number on a picture is read to [m/s, m, s], and a share of volts times amps (common practice, no source). */
const SPEED = 0.5,
  HEIGHT = 2,
  SECONDS = 0.5,
  POWER = 0.04;

type Read = Pick<Measurement, 'quantity' | 'value' | 'sigma' | 'from'> & { readonly reason?: string };

/** Wind and airspeed of two passes; along the wind and against it, or the other way round. */
function passesRead({ pass, passBack }: Footage): Read[] {
  if (pass === null || passBack === null) return [];
  const from = 'two opposite passes',
    sigma = SPEED / Math.SQRT2;
  return [
    {
      quantity: 'log-airspeed',
      value: 0.5 * (pass + passBack),
      sigma,
      from: `${from}: the mean`,
      reason: 'of passes that need not have been at lap throttle',
    },
    {
      quantity: 'log-windSpeed',
      value: 0.5 * Math.abs(pass - passBack),
      sigma,
      from: `${from}: half the difference`,
      reason: 'of the day, not of the aircraft',
    },
  ];
}

function climbRead({ height, seconds }: Footage): Read[] {
  if (height === null || seconds === null || !(seconds > 0)) return [];
  const value = height / seconds,
    sigma = Math.hypot((Math.SQRT2 * HEIGHT) / seconds, (Math.SQRT2 * SECONDS * value) / seconds);
  return [{ quantity: 'climbRate', value, sigma, from: 'height over time' }];
}

/** Watts a kilogram at some volts; null where a figure of it is missing. */
function powerRead(f: Footage, volts: number | null, mass: number | null): number | null {
  if (f.amps === null || volts === null || mass === null) return null;
  return ((f.amps - (f.ampsRest ?? 0)) * volts) / mass;
}

/** What the figures say; `state` is the one that was flown. */
export function footageMeasurements(f: Footage, mass: number | null, state: string): Measurement[] {
  const power = powerRead(f, f.voltsLoaded, mass),
    read: Read[] = [...passesRead(f), ...climbRead(f)];
  if (power !== null)
    read.push({
      quantity: 'powerToWeight',
      value: power,
      sigma: POWER * power,
      from: `amps${f.ampsRest === null ? '' : ' less those of the rest'} times volts under load`,
    });
  return read.map(({ reason, ...r }) => ({
    ...r,
    state,
    source: 'footage',
    setAside: reason !== undefined,
    ...(reason ? { reason } : {}),
  }));
}

/** What is missing, and what volts with the motor off would have made of it. */
export function footageRemarks(f: Footage, mass: number | null): string[] {
  const loaded = powerRead(f, f.voltsLoaded, mass),
    rest = powerRead(f, f.voltsRest, mass),
    out: string[] = [];
  if ((f.pass === null) !== (f.passBack === null))
    out.push('One pass alone tells neither airspeed nor wind: read one the other way too.');
  if (f.amps !== null && mass === null) out.push('Watts a kilogram need the mass that was flown.');
  if (f.amps !== null && f.voltsLoaded === null && f.voltsRest !== null)
    out.push('Volts with the motor off say nothing of the power: read them with the motor on.');
  if (loaded !== null && rest !== null && rest > loaded)
    out.push(
      `With the volts of the resting pack it would be ${rest.toFixed(0)} W/kg: ${(100 * (rest / loaded - 1)).toFixed(0)} % too much.`,
    );
  return out;
}
