/** A short key for a plain value, equal for equal content: JSON with sorted keys, hashed (FNV-1a, two 32-bit lanes). */
export function contentKey(value: unknown): string {
  const text = stableJson(value);
  let a = 0x811c9dc5,
    b = 0x01000193;
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i);
    a = Math.imul(a ^ c, 0x01000193);
    b = Math.imul(b ^ (c + i), 0x85ebca6b);
  }
  return (a >>> 0).toString(36) + (b >>> 0).toString(36) + text.length.toString(36);
}

/** JSON with the keys of every object in order, so that equal content gives equal text. */
export function stableJson(value: unknown): string {
  return (
    JSON.stringify(value, (_key, v: unknown) => {
      if (v && typeof v === 'object' && !Array.isArray(v)) {
        return Object.fromEntries(Object.entries(v).sort(([p], [q]) => (p < q ? -1 : p > q ? 1 : 0)));
      }
      return v;
    }) ?? 'undefined'
  );
}
