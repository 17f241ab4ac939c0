/**
 * The aircraft as a state flies it: parts of the swap set in place of their own, a surface at another incidence, wheels
 * and thrusters folded in. What a state only loads, moves or opens is read off the state itself.
 */
import { setPath, type Design, type Item, type State } from '../design';
import { plannedItem } from './ledger';
import { aboard, standsWherePut } from './parts';
import { fitChanges } from './swaps';

type Carried = Pick<State, 'fitted' | 'set' | 'gear' | 'stowed'>;

function fittedWith(design: Design, ids: readonly string[]): Design {
  return ids.reduce((d, id) => {
    const swap = d.swaps?.find((s) => s.id === id);
    return swap ? fitChanges(d, swap).reduce((to, c) => setPath(to, c.path, c.value), d) : d;
  }, design);
}

function setTo(design: Design, set: NonNullable<State['set']>): Design {
  const to = new Map(set.map((s) => [s.surface, s.incidence]));
  const surfaces = design.surfaces.map((s) => {
    const incidence = to.get(s.id);
    return incidence === undefined ? s : { ...s, incidence };
  });
  return { ...design, surfaces };
}

/** Drag of what goes in goes with it. */
function gearUp(design: Design): Design {
  const wheels = (design.wheels ?? []).filter((w) => !w.retracts),
    all = wheels.length === 0;
  const dragItems = all ? design.dragItems.filter((i) => i.part?.kind !== 'gear') : design.dragItems;
  return { ...design, wheels, dragItems };
}

/** A part that stands still weighs what it weighed. */
function still(design: Design, item: Item): Item {
  const { part, ...rest } = item;
  if (!part || !standsWherePut(item) || !aboard(design, item)) return item;
  return { ...rest, planned: { kind: 'mass', mass: plannedItem(item, design).mass } };
}

/** A drive whose thrusters are all folded in is off, and out of the air stream. */
function stowedIn(design: Design, ids: readonly string[]): Design {
  const thrusters = design.thrusters.filter((t) => !ids.includes(t.id)),
    stopped = new Set(design.thrusters.filter((t) => ids.includes(t.id)).map((t) => t.drive));
  for (const t of thrusters) stopped.delete(t.drive);
  const drives = design.drives.map((s) => (stopped.has(s.id) ? { ...s, fitted: false as const } : s)),
    items = design.items.map((i) => still(design, i)),
    folded = { ...design, thrusters, drives };
  const dragItems = design.dragItems.filter((i) => aboard(folded, i));
  return { ...folded, items, dragItems };
}

/** What such a state changes about the aircraft, written; nothing for a plain one. */
export function configurationOf({ fitted, set, gear, stowed }: Carried): string {
  const some = [fitted, set, stowed].some((l) => (l?.length ?? 0) > 0) || gear !== undefined;
  return some ? JSON.stringify([fitted ?? [], set ?? [], gear ?? '', stowed ?? []]) : '';
}

/** @returns the design itself where the state changes nothing about it */
export function configured(design: Design, state: Carried): Design {
  if (configurationOf(state) === '') return design;
  let d = design;
  if (state.fitted) d = fittedWith(d, state.fitted);
  if (state.set) d = setTo(d, state.set);
  if (state.gear === 'up') d = gearUp(d);
  if (state.stowed) d = stowedIn(d, state.stowed);
  return d;
}
