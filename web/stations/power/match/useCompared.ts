'use client';
/** Combinations kept side by side, each tried through the whole assessment. */
import { useState } from 'react';
import type { Trial } from '@skiametra/core/views';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { askCore } from '../../../workers/coreClient';

const MOST_COMPARED = 4;

/** One combination beside the one that is fitted. */
export interface Beside {
  id: string;
  name: string;
  changes: { path: string; value: unknown }[];
  /** null while it is computed */ trial: Trial | null;
}
export interface ComparedSet {
  list: readonly Beside[];
  /** set beside, or taken away where it stands there already */ toggle: (b: Omit<Beside, 'trial'>) => void;
  drop: (id: string) => void;
}

/** @param say tells the person what stands against it; null when nothing does */
export function useCompared(say: (trouble: string | null) => void): ComparedSet {
  const document = useWorkspace((w) => w.content.document);
  const [list, setList] = useState<Beside[]>([]);
  const drop = (id: string) => setList((now) => now.filter((b) => b.id !== id));
  const add = async (b: Omit<Beside, 'trial'>) => {
    if (list.length >= MOST_COMPARED) {
      say('Four stand side by side already; take one away first.');
      return;
    }
    say(null);
    setList((now) => [...now, { ...b, trial: null }]);
    try {
      const trial = await askCore<'tryChanges'>({ task: 'tryChanges', document, changes: b.changes });
      setList((now) => now.map((x) => (x.id === b.id ? { ...x, trial } : x)));
    } catch (e) {
      say(e instanceof Error ? e.message : String(e));
      drop(b.id);
    }
  };
  const toggle = (b: Omit<Beside, 'trial'>) => (list.some((x) => x.id === b.id) ? drop(b.id) : void add(b));
  return { list, toggle, drop };
}
