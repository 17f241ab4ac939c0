'use client';
/** Polars of everything on the shelf, filled in as the workers finish; stopped on request or when the screen goes. */
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { SectionWork } from '@skiametra/core/views';
import { modelOf } from '@skiametra/core/assess';
import type { SectionChoice } from '@skiametra/core/design';
import { meritsOf, type Contour, type Polar, type SectionMerits } from '@skiametra/core/section';
import { polarsOf, Stopped, type Progress } from '../../workers/coreClient';
import type { PolarSpec } from '../../workers/jobs';
import { specKey } from '../../workers/specKey';
import type { Candidate } from './candidates';

export interface ShelfRow {
  candidate: Candidate;
  outline: Contour | null;
  problem: string | null;
  atStall?: Polar | undefined;
  atWork?: Polar | undefined;
  built?: Polar | undefined;
  merits: SectionMerits | null;
}

export interface Shelf {
  rows: ShelfRow[];
  progress: Progress | null;
  stopped: boolean;
  start: () => void;
  stop: () => void;
}

export function outlineOf(section: Candidate['section']): { outline: Contour } | { problem: string } {
  try {
    return { outline: modelOf(section).outline };
  } catch (e) {
    return { problem: e instanceof Error ? e.message : String(e) };
  }
}

type Which = 'atStall' | 'atWork' | 'built';

export function useShelf(
  candidates: readonly Candidate[],
  work: SectionWork,
  choice: SectionChoice,
  sparAt: number,
): Shelf {
  const [found, setFound] = useState<ReadonlyMap<string, Polar | string>>(new Map());
  const [progress, setProgress] = useState<Progress | null>(null);
  const [stopped, setStopped] = useState(false);
  const running = useRef<AbortController | null>(null);
  const { errors } = choice;

  const specs = useMemo(
    () =>
      candidates.map((c): Record<Which, PolarSpec> => ({
        atStall: { section: c.section, reynolds: work.atStall },
        atWork: { section: c.section, reynolds: work.atWork },
        built: {
          section: c.section,
          reynolds: work.atWork,
          errors: {
            thickness: errors.thickness,
            camber: -errors.camber,
            nose: -errors.nose,
            edge: errors.edge,
          },
        },
      })),
    [candidates, work.atStall, work.atWork, errors],
  );
  const wanted = useMemo(() => specs.flatMap((s) => [s.atWork, s.atStall, s.built]), [specs]);
  const wantedKey = wanted.map(specKey).join();

  const start = useCallback(() => {
    running.current?.abort();
    const control = new AbortController();
    running.current = control;
    setStopped(false);
    let pending: [string, Polar | string][] = [];
    const flush = () => {
      const now = pending;
      pending = [];
      if (now.length > 0) setFound((m) => new Map([...m, ...now]));
    };
    setProgress(wanted.length > 0 ? { done: 0, total: wanted.length } : null);
    const unique = [...new Map(wanted.map((s) => [specKey(s), s])).values()];
    polarsOf(
      unique,
      (polar, spec, p) => {
        if (control.signal.aborted) return;
        pending.push([specKey(spec), polar]);
        if (pending.length === 1) setTimeout(flush, 60);
        setProgress(p.done < p.total ? p : null);
      },
      control.signal,
    )
      .then(flush, (e: unknown) => {
        flush();
        if (!(e instanceof Stopped)) console.error(e);
      })
      .finally(() => {
        if (running.current === control) setProgress(null);
      });
    // `wantedKey` is the content of `wanted`
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [wantedKey]);

  useEffect(() => {
    start();
    return () => running.current?.abort();
  }, [start]);

  const rows = useMemo(
    () =>
      candidates.map((candidate, i): ShelfRow => {
        const o = outlineOf(candidate.section);
        const read = (w: Which) => {
          const p = found.get(specKey(specs[i]![w]));
          return p && typeof p !== 'string' && p.points.length > 0 ? p : undefined;
        };
        const told = found.get(specKey(specs[i]!.atWork));
        const outline = 'outline' in o ? o.outline : null;
        const problem =
          'problem' in o
            ? o.problem
            : typeof told === 'string'
              ? told
              : told && told.points.length === 0
                ? (told.warnings[0] ?? 'no point of it settled')
                : null;
        const atStall = read('atStall'),
          atWork = read('atWork'),
          built = read('built');
        return {
          candidate,
          outline,
          problem,
          atStall,
          atWork,
          built,
          merits:
            outline && atStall && atWork
              ? meritsOf(outline, atStall, atWork, built ?? null, choice.lift, sparAt)
              : null,
        };
      }),
    [candidates, specs, found, choice.lift, sparAt],
  );

  return {
    rows,
    progress,
    stopped,
    start,
    stop: () => {
      running.current?.abort();
      setProgress(null);
      setStopped(true);
    },
  };
}
