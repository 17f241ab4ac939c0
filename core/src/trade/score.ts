/** Designs with changes, by what they score and what blocks them: what ranks combinations of parts. */
import { evaluate, type StepCache } from '../assess';
import { setPath, type DesignDocument } from '../design';
import { DomainError } from '../numeric';
import { limitsOf } from './limits';

export interface Scored {
  /** null where it cannot be computed */ readonly score: number | null;
  /** [kg] */ readonly mass: number | null;
  /** names of the limits that block */ readonly blocked: readonly string[];
}

/** @param changes paths under `design`, one list for each design */
export function scoresOf(
  doc: DesignDocument,
  state: string,
  changes: readonly (readonly { path: string; value: unknown }[])[],
  cache: StepCache,
): Scored[] {
  return changes.map((list) => {
    const design = list.reduce((d, c) => setPath(d, c.path, c.value), doc.design),
      next = { ...doc, design };
    try {
      const limits = limitsOf(next, state),
        refs = limits.flatMap((l) => l.refs),
        values = evaluate(next, [{ id: 'score', state }, { id: 'mass', state }, ...refs], cache);
      return {
        score: values[`score@${state}`] ?? null,
        mass: values[`mass@${state}`] ?? null,
        blocked: limits.filter((l) => (l.margin((k) => values[k]) ?? 0) < 0).map((l) => l.name),
      };
    } catch (e) {
      if (!(e instanceof DomainError)) throw e;
      return { score: null, mass: null, blocked: [e.message] };
    }
  });
}
