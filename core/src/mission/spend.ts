/**
 * The packs and motors along a mission. Charge by the current drawn, in pieces no longer than PIECE, at the current of
 * their middle.
 */
import { heatStep, type Drawn, type HeatState } from '../power';
import type { Craft, Draw, Store, StoreId } from './craft';
import type { Crew } from './flight';
import type { Stretch } from './stretch';
import type { Spent } from './margins';

/** [s] */
const PIECE = 30;

/** What is carried along from leg to leg. */
export interface Tally {
  time: number;
  height: number;
  heading: number;
  /** somebody said how the course lies */ known: boolean;
  craft: Craft;
  aloft: number;
  /** by pack [A s] */ used: Record<StoreId, number>;
  /** by drive [K] */ heat: Record<StoreId, HeatState>;
}

/** The same to go on from, this one kept. */
export const copied = (t: Tally): Tally => ({ ...t, used: { ...t.used }, heat: { ...t.heat } });

/** State of charge; full where there is no pack. */
export function socOf(t: Tally, s: Store, held: number | null | undefined): number {
  return held ?? (s.full > 0 ? Math.max(0, 1 - t.used[s.bank] / s.full) : 1);
}

/** What a leg has taken so far. */
export type Spending = { -readonly [K in keyof Spent]: Spent[K] };

export function nothingSpent(): Spending {
  return { energy: 0, charge: 0, current: 0, volts: Infinity, sag: 0, duty: 0, winding: 0, motor: 0 };
}

/** Volts lost under load over those that may be lost before the pack is at its least. */
function sagOf(d: Drawn, { least }: Store): number {
  const lost = d.open - d.voltage,
    room = d.open - least;
  return Number.isFinite(lost) ? lost / Math.max(room, 1e-6) : 0;
}

/** One stretch from its pack, added to what the leg has taken. */
export function spend(s: Stretch, draw: Draw, t: Tally, crew: Crew, out: Spending): void {
  const store = crew.stores[draw.from],
    seconds = Number.isFinite(s.seconds) ? s.seconds : 0,
    pieces = Math.max(1, Math.ceil(seconds / PIECE)),
    dt = seconds / pieces,
    air = { temperature: crew.air, speed: draw.stream };
  let heat = t.heat[draw.from];
  for (let i = 0; i < pieces; i++) {
    const at = socOf(t, store, crew.held),
      first = draw.at(at),
      middle = store.full > 0 ? at - (first.current * dt) / 2 / store.full : at,
      d = crew.held == null ? draw.at(Math.max(0, middle)) : first;
    out.energy += d.power * dt;
    out.charge += d.current * dt;
    out.current = Math.max(out.current, first.current, d.current);
    out.volts = Math.min(out.volts, d.voltage);
    out.sag = Math.max(out.sag, sagOf(d, store));
    out.duty = Math.max(out.duty, d.duty);
    t.used[store.bank] += d.current * dt;
    if (store.heat && dt > 0) heat = heatStep(store.heat, heat, draw, air, dt);
    out.winding = Math.max(out.winding, heat.winding);
  }
  out.motor = Math.max(out.motor, draw.motorCurrent);
  t.heat[draw.from] = heat;
}

/** Of the charge that may be used with the reserve taken off, of the pack that is nearest to its end. */
export function shareOf(t: Tally, crew: Crew): number {
  let most = 0;
  for (const { bank, usable } of [crew.stores.drive, crew.stores.lift])
    if (usable > 0) most = Math.max(most, t.used[bank] / ((1 - crew.reserve) * usable));
  return most;
}
