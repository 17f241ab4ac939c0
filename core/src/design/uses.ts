/** Who names an entry of a list, so that nothing is taken away under somebody's feet, and how those are mended. */
import type { DesignDocument, State } from './schema';

export const NAMED_LISTS = ['states', 'items', 'surfaces', 'sections'] as const;
export type NamedList = (typeof NAMED_LISTS)[number];

type Doc = DesignDocument;
const stateOf = (key: string) => key.split('@')[1] ?? '';
const list = (words: readonly string[]) => words.map((w) => `“${w}”`).join(', ');

/** Words for a group of users: `requirements “Rule 3”, “own rule”`; nothing for none. */
function group(one: string, many: string, names: readonly string[]): string[] {
  return names.length === 0 ? [] : [`${names.length === 1 ? one : many} ${list(names)}`];
}

function usesOfState({ brief, design }: Doc, id: string): string[] {
  const watched = brief.watch.filter((w) => stateOf(w) === id).length;
  return [
    ...(watched > 0 ? [`${watched === 1 ? 'a number' : `${watched} numbers`} of the strip`] : []),
    ...group(
      'the requirement',
      'the requirements',
      brief.requirements.filter((r) => r.state === id).map((r) => r.rule || r.quantity),
    ),
    ...group(
      'the task',
      'the tasks',
      brief.tasks.filter((t) => t.state === id).map((t) => t.name),
    ),
    ...group(
      'the leg',
      'the legs',
      brief.missions
        .flatMap((m) => m.rounds.flatMap((r) => r.legs))
        .filter((l) => l.state === id)
        .map((l) => l.name),
    ),
    ...group(
      'the weighing',
      'the weighings',
      design.scale.filter((s) => s.state === id).map((s) => s.note || s.id),
    ),
  ];
}

function usesOfItem({ design }: Doc, id: string): string[] {
  return group(
    'the state',
    'the states',
    design.states
      .filter((l) => l.absent?.includes(id) || l.moved?.some((m) => m.item === id))
      .map((l) => l.name),
  );
}

function usesOfSurface({ design }: Doc, id: string): string[] {
  const made = design.items.filter(
    (i) =>
      (i.planned.kind === 'areal' && i.planned.surface === id) ||
      (i.planned.kind === 'made' && i.planned.part === id) ||
      i.part?.of === id,
  );
  const members = design.structure.members.filter((m) => m.surface === id).map((m) => m.name);
  const set = design.states.filter(
    (l) => l.set?.some((q) => q.surface === id) || l.flaps?.some((f) => f.surface === id),
  );
  const measured = [...(design.built ?? []), ...(design.halves ?? [])].some((b) => b.surface === id);
  return [
    ...group(
      'the line of the mass list',
      'the lines of the mass list',
      made.map((i) => i.name),
    ),
    ...group('the member', 'the members', members),
    ...group(
      'the state',
      'the states',
      set.map((l) => l.name),
    ),
    ...(measured ? ['measurements of the finished part'] : []),
  ];
}

function usesOfSection({ design }: Doc, id: string): string[] {
  return group(
    'the surface',
    'the surfaces',
    design.surfaces.filter((s) => s.stations.some((st) => st.section === id)).map((s) => s.name),
  );
}

/** Who names an entry, in words; empty when nobody does and it may simply go. */
export function usesOf(doc: Doc, of: NamedList, id: string): string[] {
  switch (of) {
    case 'states':
      return usesOfState(doc, id);
    case 'items':
      return usesOfItem(doc, id);
    case 'surfaces':
      return usesOfSurface(doc, id);
    case 'sections':
      return usesOfSection(doc, id);
  }
}

/** What takes an entry's place where others named it: its neighbour in the list; null where it is the last. */
export function standIn(doc: Doc, of: NamedList, id: string): string | null {
  const entries = doc.design[of] as { id: string }[],
    i = entries.findIndex((e) => e.id === id);
  return (entries[i - 1] ?? entries[i + 1])?.id ?? null;
}

const dropped = <T extends { id: string }>(entries: readonly T[], id: string) =>
  entries.filter((e) => e.id !== id);

function withoutState(doc: Doc, id: string, instead: string): Doc {
  const { brief, design } = doc;
  const other = (s: string) => (s === id ? instead : s);
  const watch = brief.watch.map((w) => (stateOf(w) === id ? `${w.split('@')[0]}@${instead}` : w));
  return {
    ...doc,
    brief: {
      ...brief,
      watch: [...new Set(watch)],
      requirements: brief.requirements.map((r) => ({ ...r, state: other(r.state) })),
      tasks: brief.tasks.map((t) => ({ ...t, state: other(t.state) })),
      missions: brief.missions.map((m) => ({
        ...m,
        rounds: m.rounds.map((r) => ({
          ...r,
          legs: r.legs.map((l) => ({ ...l, state: l.state && other(l.state) })),
        })),
      })),
    },
    design: {
      ...design,
      states: dropped(design.states, id),
      // a weighing of a state that is gone says nothing of another
      scale: design.scale.filter((s) => s.state !== id),
    },
  };
}

function withoutItem(doc: Doc, id: string): Doc {
  const states = doc.design.states.map((l) => ({
    ...l,
    ...(l.absent ? { absent: l.absent.filter((a) => a !== id) } : {}),
    ...(l.moved ? { moved: l.moved.filter((m) => m.item !== id) } : {}),
  }));
  return { ...doc, design: { ...doc.design, states, items: dropped(doc.design.items, id) } };
}

/** A state that no longer sets a surface that is gone. */
function setWithout<S extends Pick<State, 'set' | 'flaps'>>(state: S, surface: string): S {
  const { set, flaps, ...rest } = state,
    others = set?.filter((q) => q.surface !== surface) ?? [],
    left = flaps?.filter((f) => f.surface !== surface) ?? [];
  return {
    ...rest,
    ...(others.length > 0 ? { set: others } : {}),
    ...(left.length > 0 ? { flaps: left } : {}),
  } as S;
}

function withoutSurface(doc: Doc, id: string): Doc {
  const { design } = doc;
  return {
    ...doc,
    design: {
      ...design,
      surfaces: dropped(design.surfaces, id),
      states: design.states.map((l) => setWithout(l, id)),
      // what was made of it goes with it
      items: design.items.filter(
        (i) =>
          !(i.planned.kind === 'areal' && i.planned.surface === id) &&
          !(i.planned.kind === 'made' && i.planned.part === id) &&
          i.part?.of !== id,
      ),
      structure: {
        ...design.structure,
        members: design.structure.members.filter((m) => m.surface !== id),
      },
      ...(design.built ? { built: design.built.filter((b) => b.surface !== id) } : {}),
      ...(design.halves ? { halves: design.halves.filter((h) => h.surface !== id) } : {}),
    },
  };
}

function withoutSection(doc: Doc, id: string, instead: string): Doc {
  const surfaces = doc.design.surfaces.map((s) => ({
    ...s,
    stations: s.stations.map((st) => (st.section === id ? { ...st, section: instead } : st)),
  }));
  return { ...doc, design: { ...doc.design, surfaces, sections: dropped(doc.design.sections, id) } };
}

/**
 * The document without an entry, those who named it naming its stand-in or gone with it.
 * @returns null where it is the last of its list and the list may not be empty
 */
export function withoutEntry(doc: Doc, of: NamedList, id: string): Doc | null {
  if (of === 'items') return withoutItem(doc, id);
  const instead = standIn(doc, of, id);
  if (instead === null) return null;
  if (of === 'surfaces') return withoutSurface(doc, id);
  return of === 'states' ? withoutState(doc, id, instead) : withoutSection(doc, id, instead);
}
