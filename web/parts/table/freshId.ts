/** A new id: random, so that two people who add an entry at once do not get the same one. */
export function freshId(stem: string, list: readonly { id: string }[]): string {
  const bytes = crypto.getRandomValues(new Uint8Array(5));
  const id = `${stem}-${[...bytes].map((b) => b.toString(36).padStart(2, '0')).join('')}`;
  return list.some((e) => e.id === id) ? freshId(stem, list) : id;
}
