/** What there is over what a leg needs, by what runs short: 1 is the limit, below it the leg is not flown so. */
import type { Craft, Store } from './craft';
import type { Done } from './stretch';

export type MarginOf =
  | 'stall'
  | 'strength'
  | 'throttle'
  | 'motor'
  | 'controller'
  | 'pack'
  | 'volts'
  | 'heat'
  | 'winch'
  | 'leg'
  | 'spot'
  | 'flight'
  | 'strip'
  | 'landing'
  | 'ground'
  | 'height'
  | 'mass';

export interface Margin {
  readonly of: MarginOf;
  readonly ratio: number;
}

/** What nobody flies past; the rest is worn, or costs time. */
export const HARD: ReadonlySet<MarginOf> = new Set([
  'stall',
  'strength',
  'throttle',
  'winch',
  'spot',
  'flight',
  'strip',
  'landing',
  'ground',
  'height',
  'mass',
]);

export interface Spent {
  readonly energy: number;
  readonly charge: number;
  /** largest [A] */ readonly current: number;
  /** least under load [V], and the largest share of what the pack may sag there */ readonly volts: number;
  readonly sag: number;
  readonly duty: number;
  readonly winding: number;
  readonly motor: number;
}

export interface Looked {
  readonly craft: Craft;
  readonly done: Done;
  readonly spent: Spent;
  /** null: nothing was drawn */ readonly store: Store | null;
  readonly from: number;
  readonly height: number;
  readonly air: number;
  readonly limits: { readonly height: number | null; readonly mass: number | null };
}

/** Ratios past this say nothing [1]. */
const FAR = 50;

/** All of a leg's margins, and the least; the least alone where nobody asks for more. */
interface Collected {
  readonly all: Margin[] | null;
  of: MarginOf | null;
  ratio: number;
}

/** @param all every one of them, or the least alone */
export function legMargins(l: Looked, all: boolean): { margins: readonly Margin[]; margin: Margin | null } {
  const out: Collected = { all: all ? [] : null, of: null, ratio: Infinity },
    { room, pull } = l.done;
  byFlight(l, out);
  byDrive(l, out);
  if (room) add(out, room.of, room.has, room.needs);
  if (pull !== null) add(out, 'winch', 1, pull);
  if (l.limits.height !== null) add(out, 'height', l.limits.height, Math.max(l.from, l.height));
  if (l.limits.mass !== null) add(out, 'mass', l.limits.mass, l.craft.mass);
  return { margins: out.all ?? NONE, margin: out.of && { of: out.of, ratio: out.ratio } };
}

const NONE: readonly Margin[] = [];

function add(out: Collected, of: MarginOf, has: number, needs: number): void {
  const ratio = has / needs;
  if (!(needs > 0 && ratio < FAR)) return;
  out.all?.push({ of, ratio });
  if (ratio >= out.ratio) return;
  out.of = of;
  out.ratio = ratio;
}

function byFlight({ craft, done, from, height }: Looked, out: Collected): void {
  for (const s of done.stretches) {
    if (craft.stall > 0 && s.airspeed > 0) add(out, 'stall', s.airspeed, craft.stall * Math.sqrt(s.load));
    if (craft.strength !== null && s.load > 1) add(out, 'strength', craft.strength, s.load);
    // nothing there is gives what it asks
    if (s.draw === null && craft.powered) add(out, 'throttle', 0, 1);
  }
  // it is on the ground before the leg is over
  if (height < -1e-6) add(out, 'ground', Math.max(from, 0), from - height);
}

function byDrive({ spent, store, air }: Looked, out: Collected): void {
  if (!store || spent.charge <= 0) return;
  if (spent.duty > 0) add(out, 'throttle', 1, spent.duty);
  add(out, 'motor', store.motor, spent.motor);
  add(out, 'controller', store.controller, spent.motor);
  add(out, 'pack', store.pack, spent.current);
  add(out, 'volts', 1, spent.sag);
  if (spent.winding > air + 1) add(out, 'heat', store.hottest - air, spent.winding - air);
}

/** The least; null where nothing is near. */
export function tightestOf(margins: readonly Margin[]): Margin | null {
  let least: Margin | null = null;
  for (const m of margins) if (least === null || m.ratio < least.ratio) least = m;
  return least;
}

/** The least of each kind. */
export function leastByKind(margins: Iterable<Margin>): Map<MarginOf, number> {
  const out = new Map<MarginOf, number>();
  for (const { of, ratio } of margins) out.set(of, Math.min(ratio, out.get(of) ?? Infinity));
  return out;
}
