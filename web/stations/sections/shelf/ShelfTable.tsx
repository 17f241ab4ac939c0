'use client';
/** Every section there is, with what it is worth at the speeds of this aircraft. */
import { Button, NativeSelect } from '@mantine/core';
import { useState } from 'react';
import type { SectionChoice } from '@skiametra/core/design';
import type { SectionWork } from '@skiametra/core/views';
import { formatNumber } from '@skiametra/core/units';
import { ShownTable } from '../../../parts/table';
import type { Candidate } from '../candidates';
import type { Shelf, ShelfRow } from '../useShelf';
import { shelfColumns } from './shelfColumns';
import { useMarksOf } from './useMarksOf';
import { WhatCounts } from './WhatCounts';

type Filter = 'all' | 'own' | 'flat' | 'buildable' | 'trusted';
/** Gap under the aft lower face that still lies on a board, share of the chord. */
const FLAT_GAP = 0.006;
/** Thickness that a spar and a skin fit in, share of the chord. */
const BUILDABLE = 0.09;
const FILTERS: Record<Filter, { label: string; fits: (r: ShelfRow) => boolean }> = {
  all: { label: 'All sections', fits: () => true },
  own: { label: 'Of this design', fits: (r) => r.candidate.origin === 'own' },
  flat: { label: 'Flat-bottomed', fits: (r) => (r.merits?.flatGap ?? Infinity) < FLAT_GAP },
  buildable: { label: '9 % and thicker', fits: (r) => (r.merits?.thickness ?? 0) >= BUILDABLE },
  trusted: {
    label: 'Computed with confidence',
    fits: (r) => r.merits !== null && r.merits.confidence !== 'low',
  },
};

interface Props {
  shelf: Shelf;
  choice: SectionChoice;
  work: SectionWork;
  picked: ReadonlySet<string>;
  onPick: (id: string) => void;
  onChoice: (c: SectionChoice) => string | null;
  onUse: (c: Candidate) => void;
}

export function ShelfTable({ shelf, choice, work, picked, onPick, onChoice, onUse }: Props) {
  const [filter, setFilter] = useState<Filter>('all');
  const ranking = useMarksOf(shelf.rows, choice.weights);
  const { markOf, first } = ranking;
  const rows = shelf.rows.filter(FILTERS[filter].fits).sort((a, b) => (markOf(b) ?? -1) - (markOf(a) ?? -1));
  return (
    <div className="cols cols-shelftable">
      <div className="stack gap8">
        <div className="line gap12 base wraps">
          <NativeSelect
            aria-label="Show"
            value={filter}
            onChange={(e) => setFilter(e.currentTarget.value as Filter)}
            data={Object.entries(FILTERS).map(([value, { label }]) => ({ value, label }))}
          />
          <span className="dim note">
            Largest lift at Re {formatNumber(work.atStall, 2)}, the rest at Re {formatNumber(work.atWork, 2)}{' '}
            and lift {formatNumber(choice.lift, 2)}
          </span>
          <Computing shelf={shelf} />
        </div>
        <ShownTable
          name="Shelf of sections"
          rows={rows}
          rowKey={(r) => r.candidate.id}
          rowClass={(r) => (r.candidate.id === first ? 'chosen' : undefined)}
          columns={shelfColumns({ markOf, picked, onPick, onUse })}
        />
        {rows.length === 0 && (
          <p className="dim">No section on the shelf is like that; show all sections again.</p>
        )}
      </div>
      <WhatCounts choice={choice} onChoice={onChoice} ranking={ranking} />
    </div>
  );
}

function Computing({ shelf: { progress, stopped, stop, start } }: { shelf: Shelf }) {
  return (
    <>
      {progress && (
        <span role="status" className="atend line gap8 mid note">
          <progress value={progress.done} max={progress.total} aria-label="Polars computed" />
          {progress.done} of {progress.total}
          <Button size="compact-xs" variant="default" onClick={stop}>
            Stop
          </Button>
        </span>
      )}
      {stopped && (
        <span className="atend">
          <Button size="compact-xs" variant="light" onClick={start}>
            Go on computing
          </Button>
        </span>
      )}
    </>
  );
}
