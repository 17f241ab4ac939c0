/** Which edit broke a requirement: kept while the page is open, forgotten once it is met again. */
import { checkRequirements, type Ledger } from '@skiametra/core/assess';
import { listChanges, type DesignDocument } from '@skiametra/core/design';
import { leverOf } from '@skiametra/core/trade';
import { formatQuantity, type UnitSystem } from '@skiametra/core/units';

export type Broken = Readonly<Record<string, string>>;

export interface Checked {
  readonly document: DesignDocument;
  readonly missed: ReadonlySet<string>;
}

export function missedIn({ brief, design }: DesignDocument, ledger: Ledger): ReadonlySet<string> {
  return new Set(
    checkRequirements(brief, design, ledger)
      .filter((c) => c.status === 'missed')
      .map((c) => c.requirement.id),
  );
}

/** The first number that an edit changed, and how many more. */
export function editWords(before: DesignDocument, after: DesignDocument, units: UnitSystem): string | null {
  const changes = listChanges(
    { design: before.design, brief: before.brief },
    { design: after.design, brief: after.brief },
  );
  const [first] = changes;
  if (!first) return null;
  const lever = leverOf(after, first.path),
    value = (v: unknown) => (typeof v === 'number' && lever ? formatQuantity(v, lever.kind, units) : null),
    [was, is] = [value(first.before), value(first.after)],
    more = changes.length > 1 ? ` and ${changes.length - 1} more` : '';
  const name = lever?.name ?? first.path.replace(/^(design|brief)\./, '').replace(/\./g, ', ');
  return was !== null && is !== null ? `${name}: ${was} → ${is}${more}` : `a change of ${name}${more}`;
}

/**
 * @param was what stood before the last edit
 * @returns what broke each requirement that is missed now and was not, or was broken before
 */
export function brokenNow(was: Checked, now: Checked, known: Broken, units: UnitSystem): Broken {
  const words = editWords(was.document, now.document, units),
    out: Record<string, string> = {};
  for (const id of now.missed) {
    const said = was.missed.has(id) ? known[id] : words;
    if (said) out[id] = said;
  }
  return out;
}
