/** Units as loggers write them beside a column's name. */
import { UNITS } from '@skiametra/core/units';

export interface ColumnUnit {
  readonly name: string;
  readonly dim: string;
  readonly scale: number;
  readonly offset: number;
}

const known = (name: string): ColumnUnit => {
  const { dim, scale, offset = 0 } = UNITS[name]!;
  return { name, dim, scale, offset };
};
const made = (name: string, dim: string, scale: number): ColumnUnit => ({ name, dim, scale, offset: 0 });

const FT = UNITS.ft!.scale;
/** Beside those that people type: what only machines write. */
const OWN: Readonly<Record<string, ColumnUnit>> = {
  rad: made('rad', 'rad', 1),
  '0.01 deg': made('0.01 deg', 'rad', 0.01 * UNITS.deg!.scale),
  '1e-7 deg': made('1e-7 deg', 'rad', 1e-7 * UNITS.deg!.scale),
  'm/s²': made('m/s²', 'm/s2', 1),
  g: made('g', 'm/s2', UNITS.kgf!.scale),
  mg: made('mg', 'm/s2', 1e-3 * UNITS.kgf!.scale),
  'cm/s': made('cm/s', 'm/s', 0.01),
  'mm/s': made('mm/s', 'm/s', 1e-3),
  'ft/min': made('ft/min', 'm/s', FT / 60),
  'ft/s': made('ft/s', 'm/s', FT),
  mV: made('mV', 'V', 1e-3),
  cA: made('cA', 'A', 0.01),
  'turns/s': made('turns/s', 'rad/s', 2 * Math.PI),
  /** a pulse of 1 to 2 ms */ µs: { name: 'µs', dim: '1', scale: 1e-3, offset: -1 },
};

/** Of one dimension, the usual one first. */
const BY_DIM: Readonly<Record<string, readonly ColumnUnit[]>> = {
  rad: [known('deg'), OWN.rad!, OWN['0.01 deg']!, OWN['1e-7 deg']!],
  m: [known('m'), known('ft'), known('km'), known('cm'), known('mm')],
  'm/s': [
    known('m/s'),
    known('km/h'),
    known('kt'),
    known('mph'),
    OWN['ft/s']!,
    OWN['ft/min']!,
    OWN['cm/s']!,
    OWN['mm/s']!,
  ],
  'm/s2': [OWN.g!, OWN['m/s²']!, OWN.mg!],
  V: [known('V'), OWN.mV!],
  A: [known('A'), known('mA'), OWN.cA!],
  As: [known('mAh'), known('Ah'), made('A s', 'As', 1)],
  W: [known('W'), known('kW')],
  'rad/s': [known('rpm'), known('rad/s'), OWN['turns/s']!],
  '1': [known('%'), made('0 to 1', '1', 1), OWN['µs']!],
  K: [known('°C'), known('K'), known('°F')],
};

export const unitsOf = (dim: string): readonly ColumnUnit[] => BY_DIM[dim] ?? [];

/** Spellings, small letters without spaces, dots and brackets. */
const SPELLED: Readonly<Record<string, string>> = {
  deg: 'deg',
  degrees: 'deg',
  '°': 'deg',
  dd: 'deg',
  rad: 'rad',
  cdeg: '0.01 deg',
  centideg: '0.01 deg',
  dege7: '1e-7 deg',
  '1e7': '1e-7 deg',
  m: 'm',
  meter: 'm',
  meters: 'm',
  metre: 'm',
  metres: 'm',
  mtr: 'm',
  ft: 'ft',
  feet: 'ft',
  km: 'km',
  cm: 'cm',
  mm: 'mm',
  'm/s': 'm/s',
  ms: 'm/s',
  mps: 'm/s',
  'm/sec': 'm/s',
  'ms-1': 'm/s',
  'km/h': 'km/h',
  kmh: 'km/h',
  kph: 'km/h',
  'kmh-1': 'km/h',
  kt: 'kt',
  kts: 'kt',
  kn: 'kt',
  knot: 'kt',
  knots: 'kt',
  mph: 'mph',
  'ft/s': 'ft/s',
  fps: 'ft/s',
  'ft/min': 'ft/min',
  fpm: 'ft/min',
  'cm/s': 'cm/s',
  cms: 'cm/s',
  'mm/s': 'mm/s',
  mms: 'mm/s',
  g: 'g',
  gs: 'g',
  gee: 'g',
  mg: 'mg',
  'm/s2': 'm/s²',
  'm/s²': 'm/s²',
  'm/s^2': 'm/s²',
  'm/s/s': 'm/s²',
  v: 'V',
  volt: 'V',
  volts: 'V',
  mv: 'mV',
  a: 'A',
  amp: 'A',
  amps: 'A',
  ma: 'mA',
  mah: 'mAh',
  ah: 'Ah',
  w: 'W',
  watt: 'W',
  watts: 'W',
  kw: 'kW',
  rpm: 'rpm',
  'u/min': 'rpm',
  '1/min': 'rpm',
  'rad/s': 'rad/s',
  hz: 'turns/s',
  rps: 'turns/s',
  '%': '%',
  pct: '%',
  percent: '%',
  us: 'µs',
  µs: 'µs',
  c: '°C',
  '°c': '°C',
  degc: '°C',
  celsius: '°C',
  k: 'K',
  f: '°F',
  '°f': '°F',
  degf: '°F',
};

/** Of what no channel is. */
const OF_NO_CHANNEL = /^(h?pa|kpa|mbar|bar|psi|inhg|mmhg|db|dbm|hz|khz|mhz)$/;

const spelling = (word: string) => word.toLowerCase().replace(/[\s[\]().]/g, '');

/** Whether a word is a unit at all, of whatever it may be. */
export const isUnit = (word: string): boolean =>
  SPELLED[spelling(word)] !== undefined || OF_NO_CHANNEL.test(spelling(word));

/** @returns null where the word is no unit of that dimension */
export function unitSpelled(word: string, dim: string): ColumnUnit | null {
  const name = SPELLED[spelling(word)];
  return unitsOf(dim).find((u) => u.name === name) ?? null;
}
