/** What changed between two versions, in words: every changed value of a group, never only the first. */
import { documentField, type Change } from '@skiametra/core/design';
import { formatQuantity, type UnitSystem } from '@skiametra/core/units';

const KEY_WORDS: Readonly<Record<string, string>> = {
  name: 'name',
  planned: 'planned mass',
  weighed: 'weighed mass',
  unitMass: 'mass of one',
  perArea: 'mass per area',
  dragArea: 'drag area',
  factor: 'share of the usual mass',
  note: 'note',
};

/** Words of a camel-case key. */
const keyWords = (key: string) => KEY_WORDS[key] ?? key.replace(/([A-Z])/g, (c) => ` ${c.toLowerCase()}`);

/** Where in its group a value stands: `station 3 chord`, `x`, `share of the usual mass`. */
function placeOf(path: string, group: string): string {
  const rest =
    path === group
      ? []
      : path
          .slice(group.length + 1)
          .split('.')
          .filter((k) => k !== 'shape');
  const words = rest.flatMap((key, i) => {
    const n = Number(key);
    if (Number.isInteger(n)) return [`${(rest[i - 1] ?? 'entry').replace(/s$/, '')} ${n + 1}`];
    // the list's own name goes into its entry's
    return Number.isInteger(Number(rest[i + 1])) && rest[i + 1] !== undefined ? [] : [keyWords(key)];
  });
  return words.join(' ');
}

function valueWords(path: string, v: unknown, units: UnitSystem): string {
  if (v === null) return 'unknown';
  if (typeof v === 'number') return formatQuantity(v, documentField(path)?.kind ?? 'ratio', units);
  if (typeof v === 'boolean') return v ? 'yes' : 'no';
  return typeof v === 'string' ? `“${v.length > 24 ? `${v.slice(0, 23)}…` : v}”` : '';
}

const counted = (list: readonly unknown[]) => `${list.length} ${list.length === 1 ? 'entry' : 'entries'}`;

/** One change: from what to what; a whole entry or list by what became of it. */
export function oneChange(c: Change, group: string, units: UnitSystem): string {
  const place = placeOf(c.path, group);
  const said = (what: string) => (place ? `${place} ${what}` : what);
  if (c.before === undefined) return said('added');
  if (c.after === undefined) return said('taken out');
  if (Array.isArray(c.before) && Array.isArray(c.after))
    return said(
      c.before.length === c.after.length ? 'redrawn' : `${counted(c.before)} → ${counted(c.after)}`,
    );
  const [before, after] = [c.before, c.after].map((v) => valueWords(c.path, v, units));
  return said(before === '' || after === '' ? 'rewritten' : `${before} → ${after}`);
}

const MOST = 3;

/** All changes of a group in a line; from the fourth on they are counted. */
export function changeWords(changes: readonly Change[], group: string, units: UnitSystem): string {
  const said = changes.slice(0, MOST).map((c) => oneChange(c, group, units));
  const more = changes.length - said.length;
  return `${said.join(', ')}${more > 0 ? ` and ${more} more` : ''}`;
}
