'use client';
/** What combinations score, as they are found: those that no other beats on the bench, and the best in one thing. */
import { combinationChanges } from '@skiametra/core/mass';
import { paretoRows, type MatchRow, type PartsList } from '@skiametra/core/power';
import type { Scored } from '@skiametra/core/trade';
import { useEffect, useState } from 'react';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { Stopped } from '../../../workers/lanes';
import { scoresOf } from '../../../workers/studyClient';
import type { Found } from './useMatch';

export interface ScoredRow {
  readonly row: MatchRow;
  readonly scored: Scored;
}

/** So many combinations go through the whole assessment. */
const MOST = 260,
  EACH = 40;

/** Those that no other beats in thrust, time and mass, and the first of each by itself. */
function candidates(rows: readonly MatchRow[]): MatchRow[] {
  const by = (key: 'levelSpeed' | 'time' | 'climb') =>
      [...rows].sort((a, b) => b[key] - a[key]).slice(0, EACH),
    light = [...rows].sort((a, b) => a.mass - b.mass).slice(0, EACH),
    all = [...by('levelSpeed'), ...by('time'), ...by('climb'), ...light, ...paretoRows([...rows])];
  return [...new Map(all.map((r) => [r.index, r])).values()].slice(0, MOST);
}

export function useScores(found: Found | null, parts: PartsList) {
  const document = useWorkspace((w) => w.content.document),
    loading = useWorkspace((w) => w.loading),
    [scored, setScored] = useState<readonly ScoredRow[]>([]),
    [left, setLeft] = useState(0),
    [trouble, setTrouble] = useState<string | null>(null);
  const asks = document.brief.tasks.length > 0;
  useEffect(() => {
    if (!found || !asks) return;
    const rows = candidates(found.rows),
      end = new AbortController(),
      out: ScoredRow[] = [];
    setScored([]);
    setLeft(rows.length);
    const changes = rows.map((r) => combinationChanges(document.design, parts, r));
    scoresOf(
      { document, loading, changes },
      (list, from) => {
        list.forEach((s, i) => out.push({ row: rows[from + i]!, scored: s }));
        setScored([...out]);
        setLeft(rows.length - out.length);
      },
      end.signal,
    ).catch((e: unknown) => {
      if (!(e instanceof Stopped)) setTrouble(e instanceof Error ? e.message : String(e));
    });
    return () => end.abort();
    // of the walk that was made: a later edit leaves it as it was
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [found]);
  return { scored, left, trouble, asks };
}
