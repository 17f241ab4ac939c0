'use client';
/** The flow about a section at the angles that are played, computed anew when anything about it changes. */
import { useEffect, useRef, useState } from 'react';
import type { Section } from '@skiametra/core/design';
import { PICTURE_ANGLES, type FlowPicture } from '@skiametra/core/section';
import { picturesOf } from '../../../workers/coreClient';
import { Stopped, type Progress } from '../../../workers/lanes';

export interface Air {
  /** waves at which the layer turns turbulent */ readonly nCrit: number;
  /** trip on the upper face [chord]; 1 is none */ readonly trip: number;
}

export interface Pictures {
  readonly list: readonly (FlowPicture | null)[] | null;
  readonly progress: Progress | null;
  readonly stopped: boolean;
  stop(): void;
  again(): void;
}

export function usePictures(section: Section, reynolds: number, { nCrit, trip }: Air): Pictures {
  const [list, setList] = useState<(FlowPicture | null)[] | null>(null);
  const [progress, setProgress] = useState<Progress | null>(null);
  const [stopped, setStopped] = useState(false);
  const [round, setRound] = useState(0);
  const control = useRef<AbortController | null>(null);
  const shape = JSON.stringify([section.shape, section.change ?? null]);
  useEffect(() => {
    const c = new AbortController(),
      here = () => !c.signal.aborted;
    control.current = c;
    setList(null);
    setStopped(false);
    setProgress({ done: 0, total: PICTURE_ANGLES.length });
    const [s, change] = JSON.parse(shape) as [Section['shape'], Section['change'] | null];
    picturesOf(
      {
        task: 'pictures',
        section: { shape: s, change: change ?? undefined },
        reynolds,
        alphas: PICTURE_ANGLES,
        nCrit,
        tripUpper: trip,
        tripLower: 1,
      },
      (p) => here() && setProgress(p),
      c.signal,
    ).then(
      (pictures) => {
        if (!here()) return;
        setList(pictures);
        setProgress(null);
      },
      (e: unknown) => {
        if (control.current !== c) return;
        setProgress(null);
        setStopped(e instanceof Stopped);
      },
    );
    return () => c.abort();
  }, [shape, reynolds, nCrit, trip, round]);
  return {
    list,
    progress,
    stopped,
    stop: () => control.current?.abort(),
    again: () => setRound((r) => r + 1),
  };
}
