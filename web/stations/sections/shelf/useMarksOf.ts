'use client';
/** Marks of the sections by the weights of the person, and which weight would turn the choice. */
import { useMemo } from 'react';
import type { SectionChoice } from '@skiametra/core/design';
import { rankSections, weightTurns } from '@skiametra/core/section';
import type { ShelfRow } from '../useShelf';

export type Ranking = ReturnType<typeof useMarksOf>;

export function useMarksOf(rows: readonly ShelfRow[], weights: SectionChoice['weights']) {
  return useMemo(() => {
    const known = rows.flatMap((r) => (r.merits ? [{ id: r.candidate.id, merits: r.merits }] : []));
    const marks = rankSections(known, weights);
    const markOf = new Map(marks.map((m) => [m.id, m.mark]));
    const names = new Map(rows.map((r) => [r.candidate.id, r.candidate.name]));
    return {
      marks,
      turns: weightTurns(marks, weights),
      first: marks[0]?.id,
      markOf: (r: ShelfRow) => (r.merits ? (markOf.get(r.candidate.id) ?? 0) : null),
      nameOf: (id: string) => names.get(id) ?? id,
    };
  }, [rows, weights]);
}
