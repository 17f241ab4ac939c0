/** Text that the database cannot hold, put right at the edge. */

/**
 * The same value with every text free of NUL characters and of halves of surrogate pairs (they become U+FFFD). Keys as well.
 * A value without such text comes back as it is.
 */
export function cleanText<T>(value: T): T {
  if (typeof value === 'string') return wellFormed(value) as T;
  if (Array.isArray(value)) {
    let same = true;
    const list = value.map((v: unknown) => {
      const c = typeof v === 'number' ? v : cleanText(v);
      if (c !== v) same = false;
      return c;
    });
    return same ? value : (list as T);
  }
  if (typeof value !== 'object' || value === null) return value;
  const pairs = Object.entries(value).map(([k, v]) => [wellFormed(k), cleanText(v as unknown)] as const);
  const changed = pairs.some(([k, v]) => !(k in value) || (value as Record<string, unknown>)[k] !== v);
  return changed ? (Object.fromEntries(pairs) as T) : value;
}

const LONE = /[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/g;

function wellFormed(s: string): string {
  return s.replace(/\u0000/g, '').replace(LONE, '\uFFFD');
}

const DEEPEST = 64;

/** Whether JSON text nests deeper than any document does; brackets inside of strings do not count. */
export function tooDeep(text: string, most = DEEPEST): boolean {
  let depth = 0,
    inText = false;
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i);
    if (inText) {
      if (c === 92) i++;
      else if (c === 34) inText = false;
    } else if (c === 34) inText = true;
    else if (c === 91 || c === 123) {
      if (++depth > most) return true;
    } else if (c === 93 || c === 125) depth--;
  }
  return false;
}
