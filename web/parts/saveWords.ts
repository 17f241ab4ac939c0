/** What a save changed, in words: by the name of the thing, then its values. */
import { capital } from './capital';
import { getPath, listChanges, type Change } from '@skiametra/core/design';
import type { UnitSystem } from '@skiametra/core/units';
import { changeWords } from './changeWords';

const PLACES: Readonly<Record<string, string>> = {
  card: 'Card',
  record: 'Record',
  measurements: 'Measured numbers',
  checklist: 'Checklist',
  bench: 'Bench',
  signedBy: 'Signature',
  calibration: 'Calibration',
  brief: 'Brief',
};

/** Words of a key: `stripLength` is “strip length”. */
const keyWords = (key: string) => key.replace(/([A-Z])/g, (c) => ` ${c.toLowerCase()}`);

/** The thing a changed value belongs to: the innermost with a name, else the place in the document. */
function subjectOf(content: unknown, path: string): { group: string; name: string } {
  const parts = path.split('.');
  for (let n = parts.length; n > 1; n--) {
    const group = parts.slice(0, n).join('.');
    const at = getPath(content, group) as { name?: unknown } | undefined;
    if (at && typeof at === 'object' && typeof at.name === 'string' && at.name !== '')
      return { group, name: at.name };
  }
  const depth = parts[0] === 'design' || parts[0] === 'brief' ? 2 : 1;
  const group = parts.slice(0, Math.min(depth, parts.length)).join('.');
  const last = parts[Math.min(depth, parts.length) - 1] ?? '';
  return { group, name: PLACES[last] ?? capital(keyWords(last)) };
}

const MOST = 4;

/** @returns one line a thing that changed; empty when nothing did */
export function saveWords(before: unknown, after: unknown, units: UnitSystem): string[] {
  const groups = new Map<string, { group: string; changes: Change[] }>();
  for (const c of listChanges(before, after)) {
    const { group, name } = subjectOf(c.after === undefined ? before : after, c.path);
    const known = groups.get(name) ?? { group, changes: [] };
    known.changes.push(c);
    groups.set(name, known);
  }
  const lines = [...groups].map(
    ([name, { group, changes }]) => `${name}: ${changeWords(changes, group, units)}`,
  );
  const more = lines.length - MOST;
  return more > 1 ? [...lines.slice(0, MOST), `and ${more} more`] : lines;
}
