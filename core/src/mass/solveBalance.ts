/**
 * Where the movable items must go, and failing that how much ballast.
 * All states are held inside the CG limits; the aim is no added mass, then the least moment of what is moved.
 * A box that may lie lengthways or across reaches further towards the ends of its range when it lies across.
 */
import { hovers, type Design, type Item } from '../design';
import { loadedState, type MassState, itemMass } from './ledger';
import { say, type Said } from '../words';
import { ballastStep, scaleResolution } from './resolution';

export interface Move {
  item: string;
  name: string;
  from: number;
  to: number;
  /** turned to lie across the body */ across: boolean;
}
export interface Ballast {
  mass: number;
  x: number;
  place: 'nose' | 'tail';
}
export type BalanceProposal =
  | { status: 'inside'; moves: []; ballast: null; said: Said }
  | { status: 'moved'; moves: Move[]; ballast: null; said: Said }
  | { status: 'ballast'; moves: Move[]; ballast: Ballast; said: Said }
  | { status: 'conflict'; moves: []; ballast: null; said: Said };

/** CG limits [m], forward and aft, in design x. */
export interface CgLimits {
  forward: number;
  aft: number;
}

/** Shifts of moment [kg m] (positive aft) that put every state inside; lo above hi when the spread is wider than the limits. */
function wantedShifts(states: readonly MassState[], limits: CgLimits): { lo: number; hi: number } {
  let lo = -Infinity,
    hi = Infinity;
  for (const s of states) {
    lo = Math.max(lo, (limits.forward - s.x) * s.mass);
    hi = Math.min(hi, (limits.aft - s.x) * s.mass);
  }
  return { lo, hi };
}

/** Range of an item's middle; `across` adds what turning a long box gains. */
function reachOf(item: Item, across: boolean): { from: number; to: number } {
  const m = item.movable!,
    gain = across && item.box ? Math.max(0, (item.box.length - item.box.width) / 2) : 0;
  return { from: m.from - gain, to: m.to + gain };
}

/** States that fly: a hover state is balanced about its rotors, not about the neutral point. */
export function flyingStates(design: Design, growth = 1): MassState[] {
  const list = design.states.filter((l) => !hovers(design, l));
  return (list.length > 0 ? list : design.states).map((l) => loadedState(design, l, 'best', growth));
}

/**
 * @param inset stays this far inside the limits where it can, as a fraction of their width
 */
export function solveBalance(design: Design, limits: CgLimits, growth = 1, inset = 0.1): BalanceProposal {
  const states = flyingStates(design, growth);
  const inner = {
    forward: limits.forward + inset * (limits.aft - limits.forward),
    aft: limits.aft - inset * (limits.aft - limits.forward),
  };
  const now = wantedShifts(states, limits);
  if (now.lo > now.hi)
    return {
      status: 'conflict',
      moves: [],
      ballast: null,
      said: say('balance-spread', {}),
    };
  if (now.lo <= 0 && now.hi >= 0)
    return { status: 'inside', moves: [], ballast: null, said: say('balance-inside', {}) };
  const room = wantedShifts(states, inner);
  const target = room.lo <= room.hi ? room : now;
  let need = target.lo > 0 ? target.lo : target.hi;
  const moves: Move[] = [];
  const points = new Map(states[0].points.map((p) => [p.id, p.mass]));
  // what a state puts elsewhere itself is not moved for all of them
  const fixed = new Set(
    design.states.flatMap((l) => [...(l.moved ?? []).map((m) => m.item), ...(l.absent ?? [])]),
  );
  const movable = design.items
    .filter((i) => i.movable && !fixed.has(i.id))
    .sort((a, b) => (points.get(b.id) ?? 0) - (points.get(a.id) ?? 0));
  for (const across of [false, true]) {
    for (const item of movable) {
      if (Math.abs(need) < 1e-7) break;
      const mass = points.get(item.id) ?? 0;
      if (!(mass > 0) || (across && !item.box)) continue;
      const done = moves.find((m) => m.item === item.id),
        at = done?.to ?? item.x;
      const reach = reachOf(item, across);
      const to = Math.min(reach.to, Math.max(reach.from, at + need / mass));
      if (Math.abs(to - at) < 1e-4) continue;
      need -= mass * (to - at);
      if (done) {
        done.to = to;
        done.across = across;
      } else moves.push({ item: item.id, name: item.name, from: item.x, to, across });
    }
  }
  const told = moves.map((m) => ({ name: m.name, by: m.to - m.from, across: m.across }));
  if (Math.abs(need) < 1e-7)
    return { status: 'moved', moves, ballast: null, said: say('balance-moves', { moves: told }) };
  const place = need < 0 ? 'nose' : 'tail';
  const x = need < 0 ? design.body[0].x + 0.02 : design.body[design.body.length - 1].x - 0.02;
  // ballast shifts the moment about the limit it works towards; the state that needs most decides
  const side = need < 0 ? limits.aft : limits.forward;
  const mass = Math.abs(need / (x - side)),
    resolution = scaleResolution(design, states[0].mass);
  return {
    status: 'ballast',
    moves,
    ballast: { mass, x, place },
    said: say('balance-ballast', { moves: told, mass: ballastStep(mass, resolution), resolution, place }),
  };
}

/**
 * A proposal as changes of the design: places to half a millimetre, boxes turned, ballast as an item that grows
 * when it is there already.
 */
export function changesOf(design: Design, proposal: BalanceProposal): { path: string; value: unknown }[] {
  const changes: { path: string; value: unknown }[] = [];
  for (const m of proposal.moves) {
    const box = design.items.find((q) => q.id === m.item)?.box;
    changes.push({ path: `items.${m.item}.x`, value: Math.round(m.to * 2000) / 2000 });
    if (m.across && box)
      changes.push({ path: `items.${m.item}.box`, value: { ...box, length: box.width, width: box.length } });
  }
  const b = proposal.ballast;
  if (!b) return changes;
  const id = `ballast-${b.place}`,
    was = design.items.find((i) => i.id === id);
  const mass = b.mass + (was ? itemMass(was, design) : 0);
  const all = loadedState(design, { count: 0 }, 'best', 1).mass;
  const item: Item = {
    id,
    name: `Ballast, ${b.place}`,
    group: 'other',
    planned: { kind: 'mass', mass: ballastStep(mass, scaleResolution(design, all)) },
    basis: 'calculated',
    spread: 0.02,
    weighed: null,
    x: b.x,
    y: 0,
    z: 0,
    inWing: false,
    movable: null,
  };
  // the list with the ballast first, then the moves into it
  return [
    {
      path: 'items',
      value: was ? design.items.map((i) => (i.id === id ? item : i)) : [...design.items, item],
    },
    ...changes,
  ];
}

/** Where one item must sit for the CG of a loading to come to `cgX`; null when the item has no mass. */
export function placeForCg(
  design: Design,
  itemId: string,
  loadingId: string,
  cgX: number,
  growth = 1,
): number | null {
  const loading = design.states.find((l) => l.id === loadingId) ?? design.states[0];
  const state = loadedState(design, loading, 'best', growth);
  const point = state.points.find((p) => p.id === itemId);
  if (!point || !(point.mass > 0)) return null;
  return point.x + ((cgX - state.x) * state.mass) / point.mass;
}

/**
 * Mass that one item must have, where it sits, for the CG to come to `cgX`; null when it sits there itself or
 * would weigh nothing.
 */
export function massForCg(
  design: Design,
  itemId: string,
  loadingId: string,
  cgX: number,
  growth = 1,
): number | null {
  const loading = design.states.find((l) => l.id === loadingId) ?? design.states[0];
  const state = loadedState(design, loading, 'best', growth);
  const p = state.points.find((q) => q.id === itemId);
  if (!p || Math.abs(p.x - cgX) < 1e-3) return null;
  const mass = p.mass + ((cgX - state.x) * state.mass) / (p.x - cgX);
  return mass >= 0 ? mass : null;
}

/** What a swap or a longer nose does to every state. */
export interface WhatIf {
  /** new mass by item id [kg] */ masses?: Record<string, number>;
  /** everything ahead of the wing goes so far forward [m] */ longerNose?: number;
}

export function whatIf(
  design: Design,
  change: WhatIf,
  growth = 1,
): { loading: string; mass: number; x: number; before: number }[] {
  const wing = design.surfaces.find((s) => s.role === 'wing')!;
  const ahead = wing.x + wing.stations[0].x;
  const stretch = change.longerNose ?? 0;
  return design.states.map((l) => {
    const s = loadedState(design, l, 'best', growth);
    let mass = 0,
      moment = 0;
    for (const p of s.points) {
      const m = change.masses?.[p.id] ?? p.mass,
        x = p.x < ahead && !p.id.startsWith('payload-') ? p.x - stretch : p.x;
      mass += m;
      moment += m * x;
    }
    return { loading: l.id, mass, x: moment / mass, before: s.x };
  });
}
