'use client';
/** A section as it is changed: what is refused says why and leaves it as it was. */
import { useState } from 'react';
import type { Section } from '@skiametra/core/design';
import { DomainError } from '@skiametra/core/numeric';
import { contourFromPoints, type ShapeChange } from '@skiametra/core/section';
import { MAX_DAT_BYTES, parseDat } from '@skiametra/formats';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { outlineOf } from '../useShelf';
import { capital } from '../../../parts/capital';
import { LIST, NO_CHANGE, type Shape } from './shapes';

export type SectionShape = ReturnType<typeof useSectionShape>;

const STAYS = 'the section stays as it was.';

export function useSectionShape(section: Section) {
  const edit = useWorkspace((w) => w.edit);
  const [error, setError] = useState<string | null>(null);
  const put = (next: Section): string | null => {
    const outline = outlineOf(next);
    const refused =
      'problem' in outline
        ? `${capital(outline.problem)}; ${STAYS}`
        : edit({ type: 'set', path: `${LIST}.${section.id}`, value: next });
    setError(refused);
    return refused;
  };
  const setShape = (shape: Shape, name = section.name, note = section.note) =>
    put({ ...section, shape, name, note });
  const setChange = (c: ShapeChange) => {
    const { change: _was, ...plain } = section;
    const changed = c.thickness !== 1 || c.camber !== 1 || c.flap;
    return put(changed ? { ...plain, change: c } : plain);
  };
  /** @returns whether it was taken */
  const takeDat = (source: string, fallback: string): boolean => {
    const read = parseDat(source, fallback);
    const problem = read.status === 'error' ? read.message : contourProblem(read.points);
    if (problem !== null || read.status === 'error') {
      setError(`${problem} ${capital(STAYS)}`);
      return false;
    }
    const note =
      read.form === 'selig'
        ? 'opened from points in one round, trailing edge to trailing edge'
        : 'opened from points of two faces, each nose to trailing edge';
    return !setShape({ kind: 'points', points: read.points }, read.name, note);
  };
  const openFile = (f: File | null) => {
    if (!f) return;
    if (f.size > MAX_DAT_BYTES) setError(`${f.name} is larger than ${MAX_DAT_BYTES / 1000} kB; ${STAYS}`);
    else void f.text().then((t) => takeDat(t, f.name.replace(/\.[^.]*$/, '')));
  };
  const { shape } = section;
  const change: ShapeChange = section.change ?? NO_CHANGE;
  return { section, shape, change, error, setError, setShape, setChange, takeDat, openFile };
}

/** What is wrong with an outline, as a sentence; null where it is sound. */
function contourProblem(points: Parameters<typeof contourFromPoints>[0]): string | null {
  try {
    contourFromPoints(points);
    return null;
  } catch (e) {
    if (e instanceof DomainError) return `${capital(e.message)};`;
    throw e;
  }
}
