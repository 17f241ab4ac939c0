/** The same contest under other rules: the brief with places changed, and with what that costs or gives. */
import { briefSchema, problemOf, setPath, getPath, type Brief, type Variant } from '../design';

export type Ruled = { status: 'ok'; brief: Brief } | { status: 'error'; message: string };

/** A task by its id that no other has. */
const ADDED = 'variant-points';

/** @returns the brief under a variant's rules, or why there is none */
export function underRules(brief: Brief, variant: Variant): Ruled {
  let changed: Brief = brief;
  for (const { path, value } of variant.changes) {
    if (getPath(changed, path) === undefined)
      return { status: 'error', message: `“${variant.name}” changes “${path}”, which this brief has not.` };
    changed = setPath(changed, path, value);
  }
  const weighed = changed.tasks.map((t) => ({
    ...t,
    weight: (t.weight ?? 1) * variant.factor,
    ...(t.odds && { odds: { ...t.odds, failed: t.odds.failed * variant.factor } }),
  }));
  const nothing = !(variant.factor > 0),
    tasks = nothing ? [] : variant.factor === 1 ? changed.tasks : weighed;
  const added = variant.added.trim();
  const next = {
    ...changed,
    tasks: added
      ? [...tasks, { id: ADDED, name: variant.name, mission: null, formula: added, state: 'each' }]
      : tasks,
  };
  const read = briefSchema.safeParse(next);
  if (!read.success) return { status: 'error', message: `“${variant.name}”: ${problemOf(read.error)}` };
  // what was asked for before stands as it was: nothing is made anew that the variant leaves alone
  return { status: 'ok', brief: next };
}
