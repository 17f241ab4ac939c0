/**
 * Where polars are kept so that none is computed twice: this page, this browser (IndexedDB), the server's database.
 * A place that does not answer is passed over: the polar is then computed.
 */
import { createStore, getMany, setMany, type UseStore } from 'idb-keyval';
import type { Polar } from '@skiametra/core/section';

const page = new Map<string, Polar>();
let store: UseStore | null | undefined;

function browserStore(): UseStore | null {
  if (store !== undefined) return store;
  try {
    store = typeof indexedDB === 'undefined' ? null : createStore('skiametra-polars', 'polars');
  } catch {
    store = null;
  }
  return store;
}

async function fromBrowser(keys: string[]): Promise<void> {
  const s = browserStore();
  if (!s || keys.length === 0) return;
  try {
    (await getMany<Polar | undefined>(keys, s)).forEach((p, i) => {
      if (p) page.set(keys[i]!, p);
    });
  } catch {
    store = null;
  }
}

async function fromServer(keys: string[]): Promise<void> {
  if (keys.length === 0) return;
  try {
    const r = await fetch('/api/polars', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ keys: keys.slice(0, 400) }),
      signal: AbortSignal.timeout(4000),
    });
    if (!r.ok) return;
    const { polars } = (await r.json()) as { polars: Record<string, Polar> };
    const entries = Object.entries(polars);
    for (const [k, p] of entries) page.set(k, p);
    keepInBrowser(entries);
  } catch {
    /* computed instead */
  }
}

function keepInBrowser(entries: [string, Polar][]): void {
  const s = browserStore();
  if (s && entries.length > 0)
    void setMany(entries, s).catch(() => {
      store = null;
    });
}

export async function findKept(keys: readonly string[]): Promise<Map<string, Polar>> {
  const lacking = () => keys.filter((k) => !page.has(k));
  await fromBrowser(lacking());
  await fromServer(lacking());
  return new Map(
    keys.flatMap((k) => {
      const p = page.get(k);
      return p ? [[k, p] as const] : [];
    }),
  );
}

/** Keeps in all three places; the server is told quietly. */
export function keep(entries: [string, Polar][]): void {
  for (const [k, p] of entries) page.set(k, p);
  keepInBrowser(entries);
  void fetch('/api/polars', {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ polars: Object.fromEntries(entries) }),
  }).catch(() => undefined);
}
