/** Columns of the shelf of sections. */
import { Button, Checkbox } from '@mantine/core';
import type { SectionMerits } from '@skiametra/core/section';
import { formatNumber } from '@skiametra/core/units';
import type { ShownColumn } from '../../../parts/table';
import type { Candidate } from '../candidates';
import { Outline } from '../Outline';
import type { ShelfRow } from '../useShelf';

interface Given {
  markOf: (r: ShelfRow) => number | null;
  picked: ReadonlySet<string>;
  onPick: (id: string) => void;
  onUse: (c: Candidate) => void;
}
type Column = ShownColumn<ShelfRow>;

export function shelfColumns({ markOf, picked, onPick, onUse }: Given): Column[] {
  return [
    {
      key: 'name',
      label: 'Section',
      fixed: true,
      value: (r) => r.candidate.name,
      render: (r) => <Name row={r} />,
    },
    {
      key: 'compare',
      label: 'Compare',
      value: (r) => (picked.has(r.candidate.id) ? 'yes' : 'no'),
      render: ({ candidate: c }) => (
        <Checkbox aria-label={`Compare ${c.name}`} checked={picked.has(c.id)} onChange={() => onPick(c.id)} />
      ),
    },
    ...FIGURES,
    {
      key: 'mark',
      label: 'Mark',
      hint: 'from the weights beside',
      numeric: true,
      value: markOf,
      render: (r) => <strong>{markOf(r)?.toFixed(2) ?? '–'}</strong>,
    },
    {
      key: 'use',
      label: '',
      render: ({ candidate: c }) =>
        c.origin === 'family' && (
          <Button
            size="compact-xs"
            variant="subtle"
            px={6}
            onClick={() => onUse(c)}
            title="Put it in the design"
            aria-label={`Put ${c.name} in the design`}
          >
            +
          </Button>
        ),
    },
  ];
}

/** A number of merit; null where it is not computed, or the section does not get there. */
const merit = (of: (m: SectionMerits) => number) => (r: ShelfRow) => {
  const v = r.merits ? of(r.merits) : NaN;
  return Number.isFinite(v) ? v : null;
};
const FIGURES: Column[] = [
  {
    key: 'thickness',
    label: 'Thick',
    hint: 'largest thickness, share of the chord',
    kind: 'chordPercent',
    value: merit((m) => m.thickness),
  },
  { key: 'camber', label: 'Camber', kind: 'chordPercent', value: merit((m) => m.camber) },
  {
    key: 'clMax',
    label: 'Largest lift',
    hint: 'cl at the stall’s Reynolds number',
    kind: 'ratio',
    value: merit((m) => m.clMax),
  },
  {
    key: 'glide',
    label: 'Lift / drag',
    hint: 'at the working lift; best of all in brackets',
    numeric: true,
    value: merit((m) => m.glideAtLift),
    render: (r) => <Glide row={r} />,
  },
  {
    key: 'drag',
    label: 'Drag',
    hint: 'cd at the working lift',
    kind: 'ratio',
    value: merit((m) => m.dragAtLift),
  },
  {
    key: 'low',
    label: 'Low drag',
    hint: 'lift range with drag within a quarter of the least',
    numeric: true,
    value: merit((m) => m.lowDragTo - m.lowDragFrom),
    render: ({ merits: m }) =>
      m && Number.isFinite(m.lowDragTo) ? `${places(m.lowDragFrom, 1)}…${places(m.lowDragTo, 1)}` : '–',
  },
  {
    key: 'moment',
    label: 'Moment',
    hint: 'cm about the quarter chord',
    numeric: true,
    value: merit((m) => m.moment),
    render: ({ merits: m }) => (m && Number.isFinite(m.moment) ? places(m.moment, 3) : '–'),
  },
  {
    key: 'spar',
    label: 'At spar',
    hint: 'thickness at the spar’s place',
    kind: 'chordPercent',
    value: merit((m) => m.sparDepth),
  },
];

/** Fixed places, a true minus, none before zero. */
function places(v: number, count: number): string {
  return v
    .toFixed(count)
    .replace(/^-(0\.?0*)$/, '$1')
    .replace('-', '−');
}

function Glide({ row: { merits: m } }: { row: ShelfRow }) {
  if (!m) return '–';
  return (
    <>
      {Number.isFinite(m.glideAtLift) ? formatNumber(m.glideAtLift, 3) : '–'}
      {Number.isFinite(m.bestGlide) && <span className="dim"> ({formatNumber(m.bestGlide, 2)})</span>}
    </>
  );
}

function Name({ row: { candidate: c, outline, merits, problem } }: { row: ShelfRow }) {
  return (
    <span className="withoutline">
      {outline ? <Outline contour={outline} label="" /> : <span />}
      <span className="wrapping tightlines">
        {c.name}
        {c.origin === 'own' && <span className="dim"> · in the design</span>}
        {merits?.confidence === 'low' && (
          <span
            className="looktext"
            title="Theory and tests on plates or steps, or outside the method’s range"
          >
            {' '}
            · rough
          </span>
        )}
        {problem && <span className="stoptext small"> {problem}</span>}
      </span>
    </span>
  );
}
