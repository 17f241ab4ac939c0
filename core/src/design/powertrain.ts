/**
 * Drives and thrusters as the computation of one forward drive and one set of lift rotors reads them, and back. What a
 * design may hold beyond that (a third drive, a motor that is not known) is stored and named as not computed.
 */
import type { z } from 'zod';
import type { DriveSpec, Thruster } from './driveSchema';
import type {
  bladesOnly,
  escSchema,
  fanSchema,
  motorSchema,
  packSchema,
  powerSchema,
  propellerSchema,
  wireSchema,
} from './powerSchema';

type Pack = z.infer<typeof packSchema>;
type Blades = z.infer<typeof bladesOnly>;
type Sources = z.infer<typeof powerSchema>;
type NamedPack = Sources['packs'][number];

interface Supply {
  battery: Pack;
  second?: { joined: 'parallel' | 'series'; battery: Pack } | undefined;
  wire?: z.infer<typeof wireSchema> | undefined;
}

/** Shafts of the forward drive beyond one at a known place. */
export interface Arrangement {
  count: number;
  /** behind each other, turning against each other */ kind: 'apart' | 'counter-rotating';
  /** the shafts tilt upward for hover */ tilt: boolean;
}

export interface Lift extends Supply {
  motor: z.infer<typeof motorSchema>;
  esc: z.infer<typeof escSchema>;
  propeller: Blades;
  law: 'duty' | 'thrust';
}

/** A lift rotor whose place is known. */
export interface Rotor {
  id: string;
  name: string;
  x: number;
  y: number;
  z: number;
  diameter: number;
  /** as claimed [N]; null where nobody did */ maxThrust: number | null;
}

export interface Powertrain extends Supply {
  /** no forward drive is fitted, or too little of it is known: what stands here of it is asleep */ unpowered?:
    boolean | undefined;
  esc: z.infer<typeof escSchema>;
  motor: z.infer<typeof motorSchema>;
  propeller: z.infer<typeof propellerSchema>;
  arrangement?: Arrangement | undefined;
  fan?: z.infer<typeof fanSchema> | undefined;
  lift?: Lift | undefined;
  /** lift rotors with a place */ rotors?: Rotor[] | undefined;
  /** lift rotors, placed or not */ rotorCount?: number | undefined;
  rubber?: Sources['rubber'] | undefined;
  solar?: Sources['solar'] | undefined;
  supply?: Sources['supply'] | undefined;
  avionicsCurrent: number;
}

/** The same as it may be typed: lift motors that say nothing of packs share those of the forward drive. */
export type PlainPowertrain = Omit<Powertrain, 'lift'> & {
  lift?: (Omit<Lift, keyof Supply> & Partial<Supply>) | undefined;
};

/** What a design holds of it. */
export interface Driven {
  power: Sources;
  drives: DriveSpec[];
  thrusters: Thruster[];
}

/** A thruster that points this far up lifts [rad]. */
const UPWARD = -Math.PI / 3;
export const UP = -Math.PI / 2;
const isUp = (t: Thruster) => (t.down ?? 0) < UPWARD;

export function thrustersOf(d: Pick<Driven, 'thrusters'>, drive: string): Thruster[] {
  return d.thrusters.filter((t) => t.drive === drive);
}

/** The drive whose thrusters all point up, and the first of the others; null where there is none. */
export function drivesOf(d: Pick<Driven, 'drives' | 'thrusters'>): {
  forward: DriveSpec | null;
  lift: DriveSpec | null;
  /** not computed */ more: DriveSpec[];
} {
  const lifts = (s: DriveSpec) => {
    const own = thrustersOf(d, s.id);
    return own.length > 0 && own.every(isUp);
  };
  const up = d.drives.filter(lifts),
    others = d.drives.filter((s) => !lifts(s)),
    fitted = others.filter((s) => s.fitted !== false);
  const forward = fitted[0] ?? others[0] ?? null;
  return {
    forward,
    lift: up[0] ?? null,
    more: d.drives.filter((s) => s.fitted !== false && s !== forward && s !== up[0]),
  };
}

/** Parts of a drive that the computation cannot do without and that are not known. */
export function unknownParts(drive: DriveSpec): string[] {
  const need = [
    ['pack', drive.packs.length > 0],
    ['controller', drive.controller],
    ['motor', drive.motor],
    ['propeller', drive.propeller ?? drive.fan],
  ] as const;
  return need.filter(([, has]) => !has).map(([name]) => name);
}

/** Stands where a drive is asleep and nothing was ever typed; read by nothing while it sleeps. */
const ASLEEP = {
  battery: { series: 3, parallel: 1, capacity: 3600, cellResistance: 0.01, maxC: 20, usable: 0.8 },
  esc: { resistance: 0.01, maxCurrent: 10 },
  motor: { kv: 100, resistance: 0.1, noLoadCurrent: 0.5, maxCurrent: 10 },
  propeller: { diameter: 0.2, pitch: 0.1, blades: 2 },
};

const defined = <T extends object>(o: T): T =>
  Object.fromEntries(Object.entries(o).filter(([, v]) => v !== undefined)) as T;

function unnamed({ id: _id, name: _name, ...pack }: NamedPack): Pack {
  return pack;
}

function supplyOf(d: Driven, drive: DriveSpec | null): Supply | null {
  const packs = (drive?.packs ?? []).flatMap((id) => d.power.packs.filter((p) => p.id === id));
  if (!packs.length) return null;
  const second = packs[1] && { joined: drive!.joined ?? 'parallel', battery: unnamed(packs[1]) };
  return defined({ battery: unnamed(packs[0]), second, wire: drive!.wire });
}

function arrangementOf(own: Thruster[]): Arrangement | undefined {
  const tilt = own.length > 0 && own.every((t) => t.tilt && t.tilt.to > 1);
  if (own.length < 2 && !tilt) return undefined;
  const inLine = own.length > 1 && own.every((t) => t.y !== null && t.y === own[0].y && t.z === own[0].z);
  return { count: own.length, kind: inLine ? 'counter-rotating' : 'apart', tilt };
}

function rotorsOf(own: Thruster[], blades: Blades | undefined): Rotor[] {
  return own.flatMap((t): Rotor[] => {
    const { x, y, z } = t,
      diameter = t.diameter ?? blades?.diameter;
    if (x === null || y === null || z === null || diameter === undefined) return [];
    return [{ id: t.id, name: t.name, x, y, z, diameter, maxThrust: t.maxThrust ?? null }];
  });
}

function liftOf(d: Driven, drive: DriveSpec | null): Lift | undefined {
  const supply = supplyOf(d, drive);
  if (!drive || !supply || drive.fitted === false) return undefined;
  const { motor, controller: esc, propeller, law } = drive;
  if (!motor || !esc || !propeller) return undefined;
  return { motor, esc, propeller, law: law ?? 'duty', ...supply };
}

/** The pack of the forward drive; of what sleeps, the first there is. */
function mainSupply(d: Driven, forward: DriveSpec | null): Supply {
  const first = d.power.packs[0];
  return supplyOf(d, forward) ?? { battery: first ? unnamed(first) : ASLEEP.battery };
}

/** Of the lists last asked about: a design is asked by every step, and does not change. */
const KNOWN = new WeakMap<object, { of: Driven; is: Powertrain }>();

/** @returns what the steps read; `unpowered` where no forward drive can be computed */
export function powertrainOf({ power, drives, thrusters }: Driven): Powertrain {
  const known = KNOWN.get(drives);
  if (known && known.of.power === power && known.of.thrusters === thrusters) return known.is;
  const of = { power, drives, thrusters },
    is = laidOut(of);
  KNOWN.set(drives, { of, is });
  return is;
}

function laidOut(d: Driven): Powertrain {
  const { forward, lift } = drivesOf(d),
    own = forward ? thrustersOf(d, forward.id) : [],
    at = own[0],
    rotors = lift ? thrustersOf(d, lift.id) : [],
    placed = rotorsOf(rotors, lift?.propeller);
  const awake = forward && forward.fitted !== false && unknownParts(forward).length === 0;
  const { rubber, solar, supply, avionicsCurrent } = d.power;
  return defined({
    unpowered: awake ? undefined : true,
    ...mainSupply(d, forward),
    esc: forward?.controller ?? ASLEEP.esc,
    motor: forward?.motor ?? ASLEEP.motor,
    propeller: defined({
      ...(forward?.propeller ?? ASLEEP.propeller),
      x: at?.x ?? 0,
      z: at?.z ?? 0,
      downThrust: at?.down,
      sideThrust: at?.right,
    }),
    arrangement: arrangementOf(own),
    fan: forward?.fan,
    lift: liftOf(d, lift),
    rotors: placed.length ? placed : undefined,
    rotorCount: rotors.length || undefined,
    rubber,
    solar,
    supply,
    avionicsCurrent,
  });
}

function shaftsOf(p: PlainPowertrain): Thruster[] {
  const { x, z, downThrust, sideThrust } = p.propeller,
    { count, kind, tilt } = p.arrangement ?? { count: 1, kind: 'apart', tilt: false },
    inLine = kind === 'counter-rotating';
  return Array.from({ length: count }, (_, i) =>
    defined({
      id: i === 0 ? 'main' : `main-${i + 1}`,
      name: count === 1 ? 'Propeller' : `Propeller ${i + 1}`,
      drive: 'main',
      x,
      // where shafts stand apart their distance was never asked
      y: count === 1 || inLine ? 0 : null,
      z,
      down: downThrust,
      right: sideThrust,
      tilt: tilt ? { from: 0, to: Math.PI / 2 } : undefined,
      turns: count > 1 && inLine ? (i % 2 ? ('left' as const) : ('right' as const)) : undefined,
    }),
  );
}

function rotorPlaces(p: PlainPowertrain): Thruster[] {
  const base = { drive: 'lift', down: UP },
    unplaced = Array.from({ length: p.lift && !p.rotors ? (p.rotorCount ?? 4) : 0 }, (_, i) => ({
      id: `rotor-${i + 1}`,
      name: `Lift rotor ${i + 1}`,
      ...base,
      x: null,
      y: null,
      z: null,
    }));
  const placed = (p.rotors ?? []).map(({ id, name, x, y, z, diameter, maxThrust }) =>
    defined({ id, name, ...base, x, y, z, diameter, maxThrust: maxThrust ?? undefined }),
  );
  return [...placed, ...unplaced];
}

/** Packs by the ids they get. */
function named(of: string, name: string, supply: Supply): NamedPack[] {
  const { battery, second } = supply;
  return [
    { id: of, name: `${name} pack`, ...battery },
    ...(second
      ? [{ id: of === 'main' ? 'second' : `${of}-second`, name: 'Second pack', ...second.battery }]
      : []),
  ];
}

/** Packs of the lift motors' own; null where they share those of the forward drive. */
function liftPacks({ lift, battery, second }: PlainPowertrain): NamedPack[] | null {
  if (!lift?.battery) return null;
  const text = (...of: unknown[]) => JSON.stringify(of);
  if (text(lift.battery, lift.second) === text(battery, second)) return null;
  return named('lift', 'Lift', { battery: lift.battery, ...(lift.second ? { second: lift.second } : {}) });
}

const ids = (packs: readonly NamedPack[]) => packs.map((k) => k.id);

function forwardSpec(p: PlainPowertrain): DriveSpec {
  const { x: _x, z: _z, downThrust: _d, sideThrust: _s, ...blades } = p.propeller;
  return defined({
    id: 'main',
    name: 'Drive',
    fitted: p.unpowered ? (false as const) : undefined,
    packs: ids(named('main', 'Flight', p)),
    joined: p.second?.joined,
    wire: p.wire,
    controller: p.esc,
    motor: p.motor,
    propeller: blades,
    fan: p.fan,
  });
}

function liftSpec(p: PlainPowertrain): DriveSpec {
  const { lift } = p;
  if (!lift) return { id: 'lift', name: 'Lift', packs: [] };
  const own = liftPacks(p);
  return defined({
    id: 'lift',
    name: 'Lift',
    packs: ids(own ?? named('main', 'Flight', p)),
    joined: (own ? lift : p).second?.joined,
    wire: lift.battery ? lift.wire : p.wire,
    controller: lift.esc,
    motor: lift.motor,
    propeller: lift.propeller,
    law: lift.law,
  });
}

/** One forward drive and, where there are any, one set of lift rotors, as a design holds them. */
export function layOut(p: PlainPowertrain): Driven {
  const { lift, rotors, rubber, solar, supply, avionicsCurrent } = p;
  const packs = [...named('main', 'Flight', p), ...(liftPacks(p) ?? [])];
  return {
    power: defined({ packs, rubber, solar, supply, avionicsCurrent }),
    drives: [forwardSpec(p), ...(lift || rotors ? [liftSpec(p)] : [])],
    thrusters: [...shaftsOf(p), ...rotorPlaces(p)],
  };
}

/** The design with another powertrain in place of its own. */
export function withPowertrain<D extends Driven>(design: D, p: PlainPowertrain): D {
  return { ...design, ...layOut(p) };
}
