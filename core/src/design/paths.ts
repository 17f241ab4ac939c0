/** Reading and changing a document by path: segments by dots, list entries by their `id` or their index. */

type Node = Record<string, unknown> | unknown[];

function indexIn(list: unknown[], segment: string): number {
  const byId = list.findIndex((e) => typeof e === 'object' && e !== null && 'id' in e && e.id === segment);
  if (byId >= 0) return byId;
  const n = /^\d+$/.test(segment) ? Number(segment) : -1;
  return n >= 0 && n < list.length ? n : -1;
}

/** Value at a path, undefined where there is none. */
export function getPath(root: unknown, path: string): unknown {
  let at: unknown = root;
  for (const seg of path === '' ? [] : path.split('.')) {
    if (Array.isArray(at)) at = at[indexIn(at, seg)];
    else if (typeof at === 'object' && at !== null && Object.hasOwn(at, seg))
      at = (at as Record<string, unknown>)[seg];
    else return undefined;
  }
  return at;
}

/** A copy of root with the value at the path replaced; shares what is unchanged. A path that leads nowhere changes nothing. */
export function setPath<T>(root: T, path: string, value: unknown): T {
  const [seg, ...rest] = path.split('.');
  const down = rest.join('.');
  if (Array.isArray(root)) {
    const i = indexIn(root, seg);
    if (i < 0) return root;
    const copy = [...root];
    copy[i] = rest.length ? setPath(copy[i], down, value) : value;
    return copy as T;
  }
  if (typeof root !== 'object' || root === null) return root;
  if (!Object.hasOwn(root, seg) && rest.length) return root;
  const node = root as Record<string, unknown> & Node;
  // an optional part that is taken out leaves no key behind
  if (!rest.length && value === undefined) {
    const { [seg]: _gone, ...kept } = node as Record<string, unknown>;
    return kept as T;
  }
  return { ...node, [seg]: rest.length ? setPath(node[seg], down, value) : value } as T;
}
