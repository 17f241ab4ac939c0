/**
 * Why two versions differ: each number's difference split over the groups of inputs that changed, by
 * applying the groups one after another (order: as listed). The steps sum to the whole difference.
 */
import { evaluate, type QuantityId, readRef, refText, StepCache, ALL } from '../assess';
import { getPath, listChanges, setPath, type Change, type DesignDocument } from '../design';

export interface Step {
  path: string;
  /** every leaf of the group that differs */ changes: Change[];
  delta: number;
}
export interface Explained {
  id: QuantityId;
  state: string;
  part?: string;
  before: number;
  after: number;
  steps: Step[];
}

const MOST_GROUPS = 12;

/** The input group a path belongs to: one list entry or one block, so that a moved battery is one step. */
function groupOf(path: string): string {
  const seg = path.split('.');
  return seg.slice(0, DEEPER.test(path) ? 4 : seg[0] === 'calibration' ? 1 : 3).join('.');
}
/** Entries that lie a level deeper than others, and a drive's parts one by one. */
const DEEPER = /^design\.(drives|power\.packs|structure\.members)\b/;

/** Changed groups between two documents: path, with every leaf inside. */
export function changedGroups(a: DesignDocument, b: DesignDocument): { path: string; changes: Change[] }[] {
  const groups = new Map<string, Change[]>();
  for (const c of listChanges(a, b)) groups.set(groupOf(c.path), [...(groups.get(groupOf(c.path)) ?? []), c]);
  return [...groups].map(([path, changes]) => ({ path, changes }));
}

/** A document with one change made; entries of lists may appear or go. */
function applyChange(doc: DesignDocument, c: Change): DesignDocument {
  const cut = c.path.lastIndexOf('.');
  const list = getPath(doc, c.path.slice(0, cut));
  if (!Array.isArray(list) || (c.before !== undefined && c.after !== undefined))
    return setPath(doc, c.path, c.after);
  const id = c.path.slice(cut + 1);
  const next =
    c.before === undefined ? [...list, c.after] : list.filter((e) => (e as { id?: unknown }).id !== id);
  return setPath(doc, c.path.slice(0, cut), next);
}

/** Explains the differences of the named quantities (`id@state`). */
export function explainDifference(
  a: DesignDocument,
  b: DesignDocument,
  keys: readonly string[],
  cache: StepCache = new StepCache(),
): Explained[] {
  const groups = changedGroups(a, b).slice(0, MOST_GROUPS);
  const refs = keys.flatMap((k) => readRef(k) ?? []);
  const run = (d: DesignDocument) => new Map(Object.entries(evaluate(d, refs, cache)));
  const ledgers = [run(a)];
  let doc = a;
  groups.forEach((g, i) => {
    if (i === groups.length - 1) doc = b;
    else for (const c of g.changes) doc = applyChange(doc, c);
    ledgers.push(run(doc));
  });
  if (groups.length === 0) ledgers.push(run(b));
  return refs.flatMap((ref) => {
    const key = refText(ref);
    const before = ledgers[0].get(key),
      after = ledgers[ledgers.length - 1].get(key);
    if (before === undefined || after === undefined) return [];
    const { id, state = ALL, part } = ref;
    const steps = groups.map((g, i) => ({
      path: g.path,
      changes: g.changes,
      delta: (ledgers[i + 1].get(key) ?? before) - (ledgers[i].get(key) ?? before),
    }));
    return [
      {
        id,
        state,
        ...(part ? { part } : {}),
        before,
        after,
        steps: steps.filter((s) => Math.abs(s.delta) > 1e-9),
      },
    ];
  });
}
