/** What a schema cannot check: that parts of a document which name each other do so by names that are there, once. */
import { liftingCount } from './lifting';
import type { Brief, Design, DesignDocument } from './schema';

/** Ids of a document by what they name; a double one is a problem. */
class Names {
  readonly problems: string[] = [];
  private readonly known = new Map<string, ReadonlySet<string>>();

  add(what: string, entries: readonly { id: string }[]): void {
    const ids = entries.map((e) => e.id),
      twice = ids.find((v, i) => ids.indexOf(v) !== i);
    if (twice) this.problems.push(`two ${what} share the id “${twice}”`);
    this.known.set(what, new Set(ids));
  }

  has(what: string, id: string): boolean {
    return this.known.get(what)!.has(id);
  }

  /** @param who as it begins the sentence: `surface “Wing”` @param one of the list: `section` */
  needs(who: string, one: string, id: string): void {
    if (!this.has(`${one}s`, id))
      this.problems.push(`${who} names ${article(one)} “${id}” that does not exist`);
  }
}
const article = (noun: string) => `${/^[aeiou]/.test(noun) ? 'an' : 'a'} ${noun}`;

function drawn(d: Design, names: Names): void {
  for (const s of d.surfaces)
    for (const st of s.stations) names.needs(`surface “${s.name}”`, 'section', st.section);
  for (const b of [...(d.built ?? []), ...(d.halves ?? [])])
    names.needs('a measured shape', 'surface', b.surface);
  for (const m of d.structure.members) names.needs(`member “${m.name}”`, 'surface', m.surface);
}

function weighed(d: Design, names: Names): void {
  for (const i of d.items) {
    const { planned } = i;
    if (planned.kind === 'areal') names.needs(`item “${i.name}”`, 'surface', planned.surface);
    if (planned.kind === 'made' && planned.part !== 'body' && !names.has('surfaces', planned.part))
      names.problems.push(
        `item “${i.name}” is made as “${planned.part}”, which is neither a surface nor the body`,
      );
    if (planned.kind === 'part' && !i.part)
      names.problems.push(`item “${i.name}” follows a part, but does not say which`);
  }
  for (const s of d.scale) names.needs('a weighing', 'state', s.state);
}

function inStates(d: Design, names: Names): void {
  for (const l of d.states) {
    const who = `state “${l.name}”`;
    for (const k of [...(l.moved ?? []).map((m) => m.item), ...(l.absent ?? [])]) names.needs(who, 'item', k);
    for (const s of l.set ?? []) names.needs(who, 'surface', s.surface);
    for (const t of l.stowed ?? []) names.needs(who, 'thruster', t);
    for (const f of l.fitted ?? [])
      if (!names.has('parts of the swap set', f))
        names.problems.push(`${who} is flown with “${f}”, which is not in the swap set`);
    for (const { surface, control } of l.flaps ?? []) {
      const has = d.surfaces.find((s) => s.id === surface)?.controls.some((c) => c.id === control);
      if (!has) names.problems.push(`${who} sets a flap “${control}” of “${surface}” that does not exist`);
    }
  }
}

function driven(d: Design, names: Names): void {
  for (const s of d.drives) for (const p of s.packs) names.needs(`drive “${s.name}”`, 'pack', p);
  for (const t of d.thrusters) names.needs(`thruster “${t.name}”`, 'drive', t.drive);
  for (const p of d.power.supply ?? [])
    for (const f of p.feeds)
      if (!names.has('parts of the supply', f))
        names.problems.push(`“${p.name}” is fed by “${f}”, which does not exist`);
}

function flown(brief: Brief, names: Names): void {
  for (const l of brief.missions.flatMap((m) => m.rounds.flatMap((r) => r.legs)))
    if (l.state !== null) names.needs(`leg “${l.name}”`, 'state', l.state);
  for (const m of brief.missions) {
    const ids = m.rounds.flatMap((r) => r.legs.map((l) => l.id)),
      twice = ids.find((v, i) => ids.indexOf(v) !== i);
    if (twice) names.problems.push(`two legs of mission “${m.name}” share the id “${twice}”`);
  }
  for (const t of brief.tasks) {
    if (t.state !== 'each') names.needs(`task “${t.name}”`, 'state', t.state);
    if (t.mission !== null) names.needs(`task “${t.name}”`, 'mission', t.mission);
  }
}

/** Ids that are referred to but not defined, or defined twice; empty when all is well. */
export function referenceProblems({ brief, design }: DesignDocument): string[] {
  const names = new Names();
  names.add('sections', design.sections);
  names.add('surfaces', design.surfaces);
  names.add('states', design.states);
  names.add('requirements', brief.requirements);
  names.add('items', design.items);
  names.add('parts of the swap set', design.swaps ?? []);
  names.add('packs', design.power.packs);
  names.add('drives', design.drives);
  names.add('thrusters', design.thrusters);
  names.add('parts of the supply', design.power.supply ?? []);
  names.add('missions', brief.missions);
  names.add('tasks', brief.tasks);
  drawn(design, names);
  weighed(design, names);
  inStates(design, names);
  driven(design, names);
  flown(brief, names);
  const wings = design.surfaces.filter((s) => s.role === 'wing').length;
  if (wings > 1)
    names.problems.push('only one surface may have the role wing: the one that sizes are referred to');
  if (wings === 0 && liftingCount(design) === 0)
    names.problems.push('nothing carries it: one surface must have the role wing, or rotors must lift it');
  return names.problems;
}
