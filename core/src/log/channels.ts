/** Channels that a log may hold, each in SI; what they are called and by which dimension their units go. */

export interface Channel {
  readonly name: string;
  /** dimension of its units, as `UNITS` has them */ readonly dim: string;
  /** no such value is flown by a model: outside of it a cell is no reading [SI] */ readonly least: number;
  readonly most: number;
}

const DEG = Math.PI / 180;
const ALL_ROUND = { dim: 'rad', least: -400 * DEG, most: 400 * DEG };
const LOADS = { dim: 'm/s2', least: -600, most: 600 };

/** Acceleration as an accelerometer reads it: at rest one g along the axis that is up. */
export const CHANNELS = {
  lat: { name: 'latitude', dim: 'rad', least: -90 * DEG, most: 90 * DEG },
  lon: { name: 'longitude', dim: 'rad', least: -360 * DEG, most: 360 * DEG },
  east: { name: 'east', dim: 'm', least: -2e5, most: 2e5 },
  north: { name: 'north', dim: 'm', least: -2e5, most: 2e5 },
  height: { name: 'height', dim: 'm', least: -500, most: 2e4 },
  pressureHeight: { name: 'pressure height', dim: 'm', least: -1500, most: 2e4 },
  groundSpeed: { name: 'ground speed', dim: 'm/s', least: 0, most: 200 },
  track: { name: 'track', ...ALL_ROUND },
  climb: { name: 'climb', dim: 'm/s', least: -150, most: 150 },
  airspeed: { name: 'airspeed', dim: 'm/s', least: -5, most: 200 },
  ax: { name: 'acceleration ahead', ...LOADS },
  ay: { name: 'acceleration to the right', ...LOADS },
  az: { name: 'acceleration up', ...LOADS },
  volts: { name: 'volts', dim: 'V', least: -1, most: 200 },
  amps: { name: 'amps', dim: 'A', least: -100, most: 1000 },
  charge: { name: 'charge used', dim: 'As', least: -1, most: 2e6 },
  power: { name: 'power', dim: 'W', least: -100, most: 1e5 },
  rotation: { name: 'rotation', dim: 'rad/s', least: 0, most: 8000 },
  throttle: { name: 'throttle', dim: '1', least: -1.5, most: 3 },
  temperature: { name: 'temperature', dim: 'K', least: 200, most: 500 },
  roll: { name: 'roll', ...ALL_ROUND },
  pitch: { name: 'pitch', ...ALL_ROUND },
  yaw: { name: 'heading', ...ALL_ROUND },
} as const satisfies Record<string, Channel>;

export type ChannelId = keyof typeof CHANNELS;
export const CHANNEL_IDS = Object.keys(CHANNELS) as ChannelId[];

/** A mark set while flying: a switch, a button, a word. */
export interface LogEvent {
  /** [s] */ readonly t: number;
  readonly name: string;
}

/** A log as columns: one value a row, NaN where the cell held none. */
export interface FlightLog {
  /** [s], from any beginning; as the rows came */ readonly t: Float64Array;
  readonly channels: Readonly<Partial<Record<ChannelId, Float64Array>>>;
  readonly events: readonly LogEvent[];
  /** when t is 0, as far as the file says: ISO 8601, with Z where its zone is known */ readonly begun:
    string | null;
}
