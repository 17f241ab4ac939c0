'use client';
/** The walk through all combinations: what it must do, what was found, how far it is. */
import { useMemo, useRef, useState } from 'react';
import { partsFor } from '@skiametra/core/mass';
import { combinationCount } from '@skiametra/core/power';
import type { MatchRow, MatchTask, OutReason } from '@skiametra/core/power';
import type { PowerReport } from '@skiametra/core/views';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { matchParts } from '../../../workers/coreClient';
import { Stopped, type Progress } from '../../../workers/lanes';

export interface Found {
  rows: MatchRow[];
  out: Partial<Record<OutReason, number>>;
  of: MatchTask;
  done: boolean;
}
/** What the person has changed of the task. */
export type Limits = Partial<MatchTask['limits']> & { speed?: number; throttle?: number };

export type Match = ReturnType<typeof useMatch>;

/** @param base the task that the brief gives */
export function useMatch(base: NonNullable<PowerReport['match']>) {
  const design = useWorkspace((w) => w.content.document.design);
  const parts = useMemo(() => partsFor(design), [design]);
  const [limits, setLimits] = useState<Limits>({});
  const [found, setFound] = useState<Found | null>(null);
  const [progress, setProgress] = useState<Progress | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const running = useRef<AbortController | null>(null);
  const task: MatchTask = {
    ...base,
    speed: limits.speed ?? base.speed,
    throttle: limits.throttle ?? base.throttle,
    limits: { ...base.limits, ...limits },
  };
  const total = combinationCount(parts);
  const search = async () => {
    const end = new AbortController();
    running.current = end;
    setTrouble(null);
    setProgress({ done: 0, total });
    const all: MatchRow[] = [],
      out: Found['out'] = {};
    const take = (slice: { rows: MatchRow[]; out: Found['out'] }, now: Progress) => {
      all.push(...slice.rows);
      for (const [k, n] of Object.entries(slice.out)) out[k as OutReason] = (out[k as OutReason] ?? 0) + n;
      setProgress(now);
    };
    const show = (done: boolean) => setFound({ rows: [...all], out: { ...out }, of: task, done });
    try {
      await matchParts(parts, task, total, take, end.signal);
      show(true);
    } catch (e) {
      show(false);
      if (!(e instanceof Stopped)) setTrouble(e instanceof Error ? e.message : String(e));
    }
    setProgress(null);
  };
  const set = (change: Limits) => setLimits({ ...limits, ...change });
  const stop = () => running.current?.abort();
  return { parts, task, total, found, progress, trouble, setTrouble, set, search, stop };
}
