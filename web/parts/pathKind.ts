/** What a number of the document is, by the last word of its path: for showing changes in a person's units. */
import type { KindName } from '@skiametra/core/units';

const BY_KEY: Record<string, KindName> = {
  x: 'length',
  y: 'length',
  z: 'length',
  chord: 'length',
  outer: 'length',
  wall: 'length',
  height: 'length',
  width: 'length',
  cap: 'length',
  web: 'length',
  diameter: 'length',
  pitch: 'length',
  cgX: 'length',
  twist: 'angle',
  incidence: 'angle',
  turnBank: 'angle',
  maxDeflection: 'angle',
  mass: 'mass',
  weighed: 'mass',
  unitMass: 'mass',
  perArea: 'arealMass',
  dragArea: 'dragArea',
  kv: 'kv',
  resistance: 'resistance',
  cellResistance: 'resistance',
  capacity: 'charge',
  maxCurrent: 'current',
  noLoadCurrent: 'current',
  avionicsCurrent: 'current',
  temperature: 'temperature',
  wind: 'speed',
  stripLength: 'distance',
  straight: 'distance',
  elevation: 'distance',
  window: 'time',
  length: 'length',
  thickness: 'length',
  area: 'area',
  noLoadVolts: 'voltage',
  throttle: 'percent',
  launchTurns: 'count',
  backedOff: 'count',
  wound: 'percent',
  lapThrottle: 'percent',
  reserve: 'percent',
  usable: 'percent',
  chordFraction: 'percent',
  marginMin: 'percent',
  marginMax: 'percent',
  requiredLoadFactor: 'loadFactor',
  requiredNegative: 'loadFactor',
};

/** Kind of the number at a path; a plain number where the path says nothing. */
export function kindOfPath(path: string): KindName {
  const parts = path.split('.');
  const key = parts[parts.length - 1];
  if ((key === 'from' || key === 'to') && parts.includes('movable')) return 'length';
  return Object.hasOwn(BY_KEY, key) ? BY_KEY[key] : 'ratio';
}
