/** How missions, legs and states are called in formulas: a word before a point, as in `relay.time`. */
import type { Brief } from './schema';

/** An id as formulas write it: what is no letter or figure becomes a low line. */
export const wordOf = (id: string): string => id.replace(/\W/g, '_');

/** Words before a point that the formulas of the tasks name. */
function wordsNamed({ tasks }: Pick<Brief, 'tasks'>): ReadonlySet<string> {
  return new Set(tasks.flatMap((t) => [...t.formula.matchAll(/\b([A-Za-z]\w*)\s*\./g)].map((m) => m[1])));
}

/** Ids of missions that a formula names, by themselves or by one of their legs. */
export function missionsAsked(brief: Pick<Brief, 'tasks' | 'missions'>): string[] {
  const named = wordsNamed(brief);
  if (named.size === 0) return [];
  return brief.missions
    .filter((m) =>
      [m.id, ...m.rounds.flatMap((r) => r.legs.map((l) => l.id))].some((id) => named.has(wordOf(id))),
    )
    .map((m) => m.id);
}
