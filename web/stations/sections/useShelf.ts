'use client';
/** Polars of everything on the shelf, filled in as the workers finish; stopped on request or when the screen goes. */
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { SectionWork } from '@skiametra/core/views';
import { modelOf } from '@skiametra/core/assess';
import type { SectionChoice } from '@skiametra/core/design';
import { meritsOf, type Contour, type Polar, type SectionMerits } from '@skiametra/core/section';
import { polarsOf } from '../../workers/coreClient';
import { Stopped, type Progress } from '../../workers/lanes';
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

type Specs = Record<Which, PolarSpec>;

/** The three polars that a section is judged by. */
function specsOf(
  { section }: Candidate,
  atStall: number,
  atWork: number,
  { thickness, camber, nose, edge }: SectionChoice['errors'],
): Specs {
  return {
    atStall: { section, reynolds: atStall },
    atWork: { section, reynolds: atWork },
    built: {
      section,
      reynolds: atWork,
      errors: { thickness, camber: -camber, nose: -nose, edge },
    },
  };
}

/** A polar, a sentence where it could not be had, nothing while it is computed. */
type Found = Polar | string | undefined;

function shelfRow(
  candidate: Candidate,
  found: (which: Which) => Found,
  lift: number,
  sparAt: number,
): ShelfRow {
  const drawn = outlineOf(candidate.section),
    outline = 'outline' in drawn ? drawn.outline : null;
  const polar = (which: Which) => {
    const p = found(which);
    return p && typeof p !== 'string' && p.points.length > 0 ? p : undefined;
  };
  const atStall = polar('atStall'),
    atWork = polar('atWork'),
    built = polar('built');
  const merits =
    outline && atStall && atWork ? meritsOf(outline, atStall, atWork, built ?? null, lift, sparAt) : null;
  const problem = 'problem' in drawn ? drawn.problem : problemOf(found('atWork'));
  return { candidate, outline, problem, atStall, atWork, built, merits };
}

function problemOf(told: Found): string | null {
  if (typeof told === 'string') return told;
  return told && told.points.length === 0 ? (told.warnings[0] ?? 'no point of it settled') : null;
}

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
    () => candidates.map((c) => specsOf(c, work.atStall, work.atWork, errors)),
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
      candidates.map((candidate, i) => {
        const read = (w: Which) => found.get(specKey(specs[i]![w]));
        return shelfRow(candidate, read, choice.lift, sparAt);
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
