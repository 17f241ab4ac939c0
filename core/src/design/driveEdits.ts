/**
 * Changes of drives and thrusters that are more than one number: paths under `design`, with what stands there afterwards.
 * A change touches the forward drive or the lift rotors only; further drives stay as they are.
 */
import type { DriveSpec, Thruster } from './driveSchema';
import { drivesOf, layOut, powertrainOf, thrustersOf, type Arrangement, type Driven } from './powertrain';

export interface PathChange {
  path: string;
  value: unknown;
}

/** Where the parts of the forward drive stand, under `design`; null where there is no drive. */
export function forwardAt(
  d: Driven,
): { drive: string; pack: string | null; second: string | null; thruster: string | null } | null {
  const { forward } = drivesOf(d);
  if (!forward) return null;
  const [pack, second] = forward.packs.map((id) => `power.packs.${id}`),
    first = thrustersOf(d, forward.id)[0];
  return {
    drive: `drives.${forward.id}`,
    pack: pack ?? null,
    second: second ?? null,
    thruster: first ? `thrusters.${first.id}` : null,
  };
}

/** The name, or with the first number that is free. */
export const unused = (base: string, taken: readonly { id: string }[]): string => {
  const has = (id: string) => taken.some((t) => t.id === id);
  for (let i = 2; has(base); i++) if (!has(`${base}-${i}`)) return `${base}-${i}`;
  return base;
};

/** A forward drive put on the aircraft, or left asleep; nothing where there is none. */
export function driveFitted(d: Driven, yes: boolean): PathChange[] {
  const { forward } = drivesOf(d);
  if (!forward) return [];
  return [{ path: `drives.${forward.id}.fitted`, value: yes ? undefined : false }];
}

/** A second pack like the first beside it, for all drives that the first feeds. */
export function withSecondPack(d: Driven): PathChange[] {
  const at = forwardAt(d),
    { forward } = drivesOf(d),
    first = d.power.packs.find((p) => p.id === forward?.packs[0]);
  if (!at || !forward || !first || forward.packs.length > 1) return [];
  const id = unused('second', d.power.packs),
    packs = [first.id, id];
  const shares = (s: DriveSpec) => s.packs.length === 1 && s.packs[0] === first.id;
  return [
    { path: 'power.packs', value: [...d.power.packs, { ...first, id, name: 'Second pack' }] },
    { path: 'drives', value: d.drives.map((s) => (shares(s) ? { ...s, packs, joined: 'parallel' } : s)) },
  ];
}

/** The second pack taken out of every drive. */
export function withoutSecondPack(d: Driven): PathChange[] {
  const second = drivesOf(d).forward?.packs[1];
  if (second === undefined) return [];
  const drives = d.drives.map((s): DriveSpec => {
    if (!s.packs.includes(second)) return s;
    const { joined: _joined, ...rest } = s;
    return { ...rest, packs: s.packs.filter((p) => p !== second) };
  });
  return [
    { path: 'drives', value: drives },
    { path: 'power.packs', value: d.power.packs.filter((p) => p.id !== second) },
  ];
}

/** The shafts of the forward drive: those there are keep their places, new ones stand where nobody said yet. */
export function arranged(d: Driven, { count, kind, tilt }: Arrangement): PathChange[] {
  const { forward } = drivesOf(d);
  if (!forward) return [];
  const own = thrustersOf(d, forward.id),
    pattern = layOut({ ...powertrainOf(d), arrangement: { count, kind, tilt } }).thrusters.filter(
      (t) => t.drive === 'main',
    );
  const inLine = kind === 'counter-rotating',
    taken = [...d.thrusters];
  const shafts = pattern.map((p, i): Thruster => {
    const was = own[i],
      id = was?.id ?? unused(p.id, taken);
    taken.push({ ...p, id });
    // shafts in line that come apart are nowhere yet; those apart keep where they were put
    const y = count === 1 || inLine || was?.y === 0 ? p.y : (was?.y ?? null);
    return { ...p, ...(was ? { x: was.x, z: was.z } : {}), id, drive: forward.id, y };
  });
  const others = d.thrusters.filter((t) => t.drive !== forward.id);
  return [{ path: 'thrusters', value: [...shafts, ...others] }];
}

type LiftParts = Pick<DriveSpec, 'motor' | 'controller' | 'propeller' | 'law'>;

/** Lift motors on the rotors that are drawn, or on four that stand nowhere yet, fed as the forward drive. */
export function withLift(d: Driven, parts: LiftParts): PathChange[] {
  const { forward, lift } = drivesOf(d),
    { packs, joined, wire } = forward ?? { packs: d.power.packs.slice(0, 1).map((p) => p.id) };
  const feed = { packs, ...(joined ? { joined } : {}), ...(wire ? { wire } : {}) };
  if (lift) {
    const drives = d.drives.map((s) => (s.id === lift.id ? { ...s, ...feed, ...parts } : s));
    return [{ path: 'drives', value: drives }];
  }
  const id = unused('lift', d.drives),
    places = layOut({ ...powertrainOf(d), lift: EMPTY_LIFT })
      .thrusters.filter((t) => t.drive === 'lift')
      .map((t) => ({ ...t, drive: id, id: unused(t.id, d.thrusters) }));
  return [
    { path: 'drives', value: [...d.drives, { id, name: 'Lift', ...feed, ...parts }] },
    { path: 'thrusters', value: [...d.thrusters, ...places] },
  ];
}
/** Only the number of its rotors is asked. */
const EMPTY_LIFT = {} as unknown as NonNullable<Parameters<typeof layOut>[0]['lift']>;

/** The motors go, rotors that have a place stay drawn. */
export function withoutLift(d: Driven): PathChange[] {
  const { lift } = drivesOf(d);
  if (!lift) return [];
  const stays = (t: Thruster) => t.drive !== lift.id || t.x !== null,
    thrusters = d.thrusters.filter(stays);
  const bare: DriveSpec = { id: lift.id, name: lift.name, packs: [] },
    drawn = thrusters.some((t) => t.drive === lift.id);
  return [
    { path: 'thrusters', value: thrusters },
    { path: 'drives', value: d.drives.flatMap((s) => (s.id !== lift.id ? [s] : drawn ? [bare] : [])) },
  ];
}
