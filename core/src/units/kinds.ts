/**
 * Kinds of quantity: what a number is, which unit a person sees, and how finely.
 * Inside, every value is SI and radians; a kind is the only place where that changes.
 */
export const UNIT_SYSTEMS = ['metric', 'imperial'] as const;
export type UnitSystem = (typeof UNIT_SYSTEMS)[number];

/** Exact ratios to SI unless a comment says otherwise. `offset` is added after scaling (temperature). */
export interface Unit {
  readonly dim: string;
  readonly scale: number;
  readonly offset?: number;
}

const LB = 0.45359237;
const FT = 0.3048;
const IN = 0.0254;
const G0 = 9.80665;
const TURN = 2 * Math.PI;

/** dim is a normal form used only to tell whether two units may be mixed. */
export const UNITS: Readonly<Record<string, Unit>> = {
  m: { dim: 'm', scale: 1 },
  mm: { dim: 'm', scale: 1e-3 },
  cm: { dim: 'm', scale: 1e-2 },
  km: { dim: 'm', scale: 1e3 },
  in: { dim: 'm', scale: IN },
  ft: { dim: 'm', scale: FT },
  mil: { dim: 'm', scale: IN / 1000 },
  yd: { dim: 'm', scale: 3 * FT },
  mi: { dim: 'm', scale: 5280 * FT },
  'm²': { dim: 'm2', scale: 1 },
  'dm²': { dim: 'm2', scale: 1e-2 },
  'cm²': { dim: 'm2', scale: 1e-4 },
  'mm²': { dim: 'm2', scale: 1e-6 },
  'in²': { dim: 'm2', scale: IN * IN },
  'ft²': { dim: 'm2', scale: FT * FT },
  kg: { dim: 'kg', scale: 1 },
  g: { dim: 'kg', scale: 1e-3 },
  lb: { dim: 'kg', scale: LB },
  oz: { dim: 'kg', scale: LB / 16 },
  'kg/m²': { dim: 'kg/m2', scale: 1 },
  'g/dm²': { dim: 'kg/m2', scale: 0.1 },
  'g/m²': { dim: 'kg/m2', scale: 1e-3 },
  'oz/ft²': { dim: 'kg/m2', scale: LB / 16 / (FT * FT) },
  'kg/m³': { dim: 'kg/m3', scale: 1 },
  'lb/ft³': { dim: 'kg/m3', scale: LB / FT ** 3 },
  'lb/in³': { dim: 'kg/m3', scale: LB / IN ** 3 },
  'g/cm³': { dim: 'kg/m3', scale: 1000 },
  N: { dim: 'N', scale: 1 },
  kgf: { dim: 'N', scale: G0 },
  gf: { dim: 'N', scale: G0 * 1e-3 },
  lbf: { dim: 'N', scale: LB * G0 },
  ozf: { dim: 'N', scale: (LB / 16) * G0 },
  'N·m': { dim: 'Nm', scale: 1 },
  'N·cm': { dim: 'Nm', scale: 0.01 },
  'mN·m': { dim: 'Nm', scale: 0.001 },
  'ozf·in': { dim: 'Nm', scale: (LB / 16) * G0 * IN },
  'lbf·in': { dim: 'Nm', scale: LB * G0 * IN },
  'ozf·ft': { dim: 'Nm', scale: (LB / 16) * G0 * FT },
  'lbf·ft': { dim: 'Nm', scale: LB * G0 * FT },
  'kgf·cm': { dim: 'Nm', scale: G0 * 0.01 },
  'gf·cm': { dim: 'Nm', scale: G0 * 1e-5 },
  Pa: { dim: 'Pa', scale: 1 },
  MPa: { dim: 'Pa', scale: 1e6 },
  GPa: { dim: 'Pa', scale: 1e9 },
  hPa: { dim: 'Pa', scale: 100 },
  psi: { dim: 'Pa', scale: (LB * G0) / (IN * IN) },
  ksi: { dim: 'Pa', scale: (1000 * LB * G0) / (IN * IN) },
  s: { dim: 's', scale: 1 },
  min: { dim: 's', scale: 60 },
  h: { dim: 's', scale: 3600 },
  'm/s': { dim: 'm/s', scale: 1 },
  'km/h': { dim: 'm/s', scale: 1 / 3.6 },
  mph: { dim: 'm/s', scale: (5280 * FT) / 3600 },
  kt: { dim: 'm/s', scale: 1852 / 3600 },
  'ft/s': { dim: 'm/s', scale: FT },
  'ft/min': { dim: 'm/s', scale: FT / 60 },
  rad: { dim: 'rad', scale: 1 },
  '°': { dim: 'rad', scale: Math.PI / 180 },
  deg: { dim: 'rad', scale: Math.PI / 180 },
  'rad/s': { dim: 'rad/s', scale: 1 },
  rpm: { dim: 'rad/s', scale: TURN / 60 },
  'rpm/V': { dim: 'rad/s/V', scale: TURN / 60 },
  K: { dim: 'K', scale: 1 },
  '°C': { dim: 'K', scale: 1, offset: 273.15 },
  C: { dim: 'K', scale: 1, offset: 273.15 },
  '°F': { dim: 'K', scale: 5 / 9, offset: 459.67 * (5 / 9) },
  F: { dim: 'K', scale: 5 / 9, offset: 459.67 * (5 / 9) },
  V: { dim: 'V', scale: 1 },
  A: { dim: 'A', scale: 1 },
  mA: { dim: 'A', scale: 1e-3 },
  Ω: { dim: 'ohm', scale: 1 },
  ohm: { dim: 'ohm', scale: 1 },
  mΩ: { dim: 'ohm', scale: 1e-3 },
  mohm: { dim: 'ohm', scale: 1e-3 },
  mAh: { dim: 'As', scale: 3.6 },
  Ah: { dim: 'As', scale: 3600 },
  J: { dim: 'J', scale: 1 },
  Wh: { dim: 'J', scale: 3600 },
  kJ: { dim: 'J', scale: 1000 },
  W: { dim: 'W', scale: 1 },
  kW: { dim: 'W', scale: 1000 },
  'W/kg': { dim: 'W/kg', scale: 1 },
  'W/lb': { dim: 'W/kg', scale: 1 / LB },
  '%': { dim: '1', scale: 0.01 },
  '1': { dim: '1', scale: 1 },
  g0: { dim: '1', scale: 1 },
  'kg·m²': { dim: 'kgm2', scale: 1 },
  '/rad': { dim: '1', scale: 1 },
  'N·m²': { dim: 'Nm2', scale: 1 },
  'W/m²': { dim: 'W/m2', scale: 1 },
  'rad/(N·m)': { dim: 'rad/Nm', scale: 1 },
};

export interface Kind {
  readonly metric: string;
  readonly imperial: string;
  /** significant figures shown */
  readonly figures: number;
  /** nudge of an arrow key, in the shown unit */
  readonly step: number;
  /** most decimals in either unit; as many as its figures ask for where left out */
  readonly finest?: readonly [metric: number, imperial: number];
}

const both = (unit: string, figures: number, step: number, finest?: number): Kind => ({
  metric: unit,
  imperial: unit,
  figures,
  step,
  ...(finest === undefined ? {} : { finest: [finest, finest] }),
});

export const KINDS = {
  length: { metric: 'mm', imperial: 'in', figures: 4, step: 1, finest: [2, 3] },
  distance: { metric: 'm', imperial: 'ft', figures: 3, step: 1, finest: [2, 2] },
  area: { metric: 'dm²', imperial: 'in²', figures: 3, step: 0.5, finest: [2, 2] },
  dragArea: { metric: 'cm²', imperial: 'in²', figures: 3, step: 1, finest: [2, 3] },
  mass: { metric: 'g', imperial: 'oz', figures: 3, step: 1, finest: [2, 3] },
  allUpMass: { metric: 'kg', imperial: 'lb', figures: 3, step: 0.05, finest: [4, 4] },
  arealMass: { metric: 'g/m²', imperial: 'oz/ft²', figures: 3, step: 10 },
  wingLoading: { metric: 'g/dm²', imperial: 'oz/ft²', figures: 3, step: 1, finest: [2, 2] },
  density: { metric: 'kg/m³', imperial: 'lb/ft³', figures: 4, step: 0.01 },
  force: { metric: 'N', imperial: 'lbf', figures: 3, step: 1, finest: [3, 3] },
  moment: { metric: 'N·m', imperial: 'lbf·in', figures: 3, step: 0.1, finest: [3, 3] },
  smallMoment: { metric: 'mN·m', imperial: 'ozf·in', figures: 3, step: 0.1 },
  bendingStiffness: both('N·m²', 3, 1),
  stress: { metric: 'MPa', imperial: 'ksi', figures: 3, step: 1, finest: [1, 2] },
  modulus: { metric: 'GPa', imperial: 'ksi', figures: 3, step: 1, finest: [2, 0] },
  time: both('s', 3, 1, 2),
  duration: both('min', 3, 1, 2),
  speed: { metric: 'm/s', imperial: 'mph', figures: 3, step: 0.5, finest: [2, 2] },
  climbRate: { metric: 'm/s', imperial: 'ft/min', figures: 3, step: 0.1, finest: [2, 0] },
  angle: both('°', 3, 0.5, 2),
  rotation: both('rpm', 4, 100, 0),
  kv: both('rpm/V', 3, 10, 0),
  temperature: { metric: '°C', imperial: '°F', figures: 3, step: 1, finest: [1, 1] },
  /** a difference, not a reading */ temperatureStep: both('K', 3, 1, 1),
  voltage: both('V', 3, 0.1, 2),
  current: both('A', 3, 1, 2),
  resistance: both('mΩ', 3, 1),
  charge: both('mAh', 4, 100, 0),
  energy: both('Wh', 3, 1),
  power: both('W', 3, 10, 2),
  specificPower: { metric: 'W/kg', imperial: 'W/lb', figures: 3, step: 10, finest: [1, 1] },
  percent: both('%', 3, 1, 2),
  chordPercent: both('%', 3, 1, 1),
  ratio: both('1', 3, 0.1),
  perRad: both('/rad', 3, 0.1),
  loadFactor: both('g0', 3, 0.5, 2),
  count: both('1', 4, 1, 1),
  points: both('1', 4, 1, 2),
  reynolds: both('1', 3, 1000, 0),
  wireArea: { metric: 'mm²', imperial: 'mm²', figures: 3, step: 0.1 },
  light: both('W/m²', 3, 50, 0),
  clock: both('h', 3, 1, 1),
  flare: both('rad/(N·m)', 3, 5),
  rubberSize: { metric: 'mm', imperial: 'in', figures: 3, step: 0.05 },
  inertia: both('kg·m²', 3, 0.01),
} as const satisfies Record<string, Kind>;

export type KindName = keyof typeof KINDS;

/** The unit a person of this system sees for this kind. */
export function shownUnit(kind: KindName, system: UnitSystem): string {
  return KINDS[kind][system];
}

/** How a unit is written beside a number; plain ratios show nothing, load factors show g. */
export function unitLabel(unit: string): string {
  return unit === '1' ? '' : unit === 'g0' ? 'g' : unit;
}

export function toShown(si: number, unit: string): number {
  const u = UNITS[unit];
  return si / u.scale - (u.offset ?? 0) / u.scale;
}

export function fromShown(value: number, unit: string): number {
  const u = UNITS[unit];
  return value * u.scale + (u.offset ?? 0);
}
