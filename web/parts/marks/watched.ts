/** What the ledger strip shows. */
import { quantityDef } from '@skiametra/core/assess';

/** Does the strip show this number? Those of the whole design answer for every state. */
export function isWatched(watch: readonly string[], id: string, state: string): boolean {
  const all = quantityDef(id)?.scope === 'all';
  return watch.some((w) => {
    const [of, at] = w.split('@');
    return of === id && (all || at === state);
  });
}
