/**
 * Three-way merge of two edits of one document. Objects merge key by key, lists whose
 * entries have an `id` entry by entry, other lists of one length place by place, anything
 * else is one value. Where both sides changed the same value, mine is taken and the place
 * is reported: what one side alone changed always survives.
 */
import { stableJson } from '../numeric';

type Json = unknown;
const same = (a: Json, b: Json) => a === b || stableJson(a) === stableJson(b);
const isObject = (v: Json): v is Record<string, Json> =>
  typeof v === 'object' && v !== null && !Array.isArray(v);
const hasIds = (v: Json): v is { id: string }[] =>
  Array.isArray(v) && v.every((e) => isObject(e) && typeof e.id === 'string');

/** Ids of both lists, each once: in my order, or in theirs where only they moved entries about. */
function orderOf(b: { id: string }[], m: { id: string }[], t: { id: string }[]): string[] {
  const ids = (list: { id: string }[]) => list.map((e) => e.id);
  const among = (list: string[], other: string[]) => list.filter((k) => other.includes(k));
  const unmoved = same(among(ids(b), ids(m)), among(ids(m), ids(b)));
  const [first, second] = unmoved ? [ids(t), ids(m)] : [ids(m), ids(t)];
  return [...first, ...second.filter((k) => !first.includes(k))];
}

export interface MergeResult<T> {
  merged: T;
  conflicts: string[];
}

export function mergeThreeWay<T>(base: T, mine: T, theirs: T): MergeResult<T> {
  const conflicts: string[] = [];
  const walk = (b: Json, m: Json, t: Json, path: string): Json => {
    if (same(m, t) || same(b, t)) return m;
    if (same(b, m)) return t;
    if (isObject(b) && isObject(m) && isObject(t)) {
      const out: Record<string, Json> = {};
      for (const k of new Set([...Object.keys(m), ...Object.keys(t)])) {
        const v = walk(b[k], m[k], t[k], path ? `${path}.${k}` : k);
        if (v !== undefined) out[k] = v;
      }
      return out;
    }
    if (hasIds(b) && hasIds(m) && hasIds(t)) {
      const at = (list: { id: string }[], key: string) => list.find((e) => e.id === key);
      return orderOf(b, m, t)
        .map((k) => walk(at(b, k), at(m, k), at(t, k), `${path}.${k}`))
        .filter((v) => v !== undefined);
    }
    if (Array.isArray(b) && Array.isArray(m) && Array.isArray(t))
      if (b.length === m.length && b.length === t.length)
        return b.map((v, i) => walk(v, m[i], t[i], `${path}.${i}`));
    conflicts.push(path);
    return m;
  };
  return { merged: walk(base, mine, theirs, '') as T, conflicts };
}

/** One changed value between two documents. */
export interface Change {
  path: string;
  before: Json;
  after: Json;
}

/** Every leaf that differs, lists with ids matched by id, in reading order. */
export function listChanges(before: Json, after: Json, path = ''): Change[] {
  if (same(before, after)) return [];
  if (isObject(before) && isObject(after)) {
    return [...new Set([...Object.keys(before), ...Object.keys(after)])].flatMap((k) =>
      listChanges(before[k], after[k], path ? `${path}.${k}` : k),
    );
  }
  if (hasIds(before) && hasIds(after)) {
    const keys = [...new Set([...before.map((e) => e.id), ...after.map((e) => e.id)])];
    return keys.flatMap((k) =>
      listChanges(
        before.find((e) => e.id === k),
        after.find((e) => e.id === k),
        `${path}.${k}`,
      ),
    );
  }
  if (Array.isArray(before) && Array.isArray(after) && before.length === after.length) {
    return before.flatMap((v, i) => listChanges(v, after[i], `${path}.${i}`));
  }
  return [{ path, before, after }];
}
