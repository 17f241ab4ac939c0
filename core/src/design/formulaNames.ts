/** How missions, legs and states are called in formulas: a word before a point, as in `relay.time`. */
import type { Brief } from './schema';

/** An id as formulas write it: what is no letter or figure becomes a low line. */
export const wordOf = (id: string): string => id.replace(/\W/g, '_');

/** Words before a point that the formulas of the tasks name. */
function wordsNamed({ tasks }: Pick<Brief, 'tasks'>): ReadonlySet<string> {
  return new Set(tasks.flatMap((t) => [...t.formula.matchAll(/\b([A-Za-z]\w*)\s*\./g)].map((m) => m[1])));
}

/** Ids of missions that a formula names, by themselves or by one of their legs, or that a requirement is of. */
export function missionsAsked(brief: Pick<Brief, 'tasks' | 'missions' | 'requirements'>): string[] {
  const named = wordsNamed(brief),
    required = new Set(brief.requirements.flatMap((r) => r.part ?? []));
  if (named.size + required.size === 0) return [];
  return brief.missions
    .filter(
      (m) =>
        required.has(m.id) ||
        [m.id, ...m.rounds.flatMap((r) => r.legs.map((l) => l.id))].some((id) => named.has(wordOf(id))),
    )
    .map((m) => m.id);
}
