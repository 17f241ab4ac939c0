'use client';
import { Button, NativeSelect } from '@mantine/core';
import { useMemo, useState } from 'react';
import type { SectionWork } from '@skiametra/core/views';
import type { SectionChoice } from '@skiametra/core/design';
import { MERITS, rankSections, weightTurns, type Merit } from '@skiametra/core/section';
import { formatNumber } from '@skiametra/core/units';
import { QuantityField } from '../../parts/fields/QuantityField';
import { Outline } from './Outline';
import type { Candidate } from './candidates';
import type { Shelf, ShelfRow } from './useShelf';

const MERIT_NAMES: Record<Merit, [name: string, hint: string]> = {
  clMax: ['Largest lift', 'at the stall’s Reynolds number'],
  glide: ['Lift to drag', 'at the working lift'],
  lowDrag: ['Low-drag range', 'lift range with drag within a quarter of the least'],
  moment: ['Small moment', 'about the quarter chord, at the working lift'],
  sparDepth: ['Spar depth', 'thickness where the spar stands'],
  flatBottom: ['Flat bottom', 'lies on the board: gap under the aft 70 %'],
  tolerance: ['Forgives building', 'drag as drawn over drag as it may be built'],
};

type Sort = 'mark' | 'clMax' | 'glide' | 'drag' | 'moment' | 'spar' | 'thickness';
const SORTS: Record<Sort, (r: ShelfRow, mark: number) => number> = {
  mark: (_, m) => -m,
  clMax: (r) => -(r.merits?.clMax ?? -9),
  glide: (r) => -(r.merits && Number.isFinite(r.merits.glideAtLift) ? r.merits.glideAtLift : -9),
  drag: (r) => (r.merits && Number.isFinite(r.merits.dragAtLift) ? r.merits.dragAtLift : 9),
  moment: (r) => Math.abs(r.merits?.moment ?? 9),
  spar: (r) => -(r.merits?.sparDepth ?? -9),
  thickness: (r) => -(r.merits?.thickness ?? -9),
};
type Filter = 'all' | 'own' | 'flat' | 'buildable' | 'trusted';
const FILTERS: Record<Filter, (r: ShelfRow) => boolean> = {
  all: () => true,
  own: (r) => r.candidate.origin === 'own',
  flat: (r) => (r.merits?.flatGap ?? 9) < 0.006,
  buildable: (r) => (r.merits?.thickness ?? 0) >= 0.09,
  trusted: (r) => r.merits !== null && r.merits.confidence !== 'low',
};

/** Fixed places without a minus before zero. */
const fixed = (v: number, places = 1): string => v.toFixed(places).replace(/^-(0\.?0*)$/, '$1');

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
  const [sort, setSort] = useState<Sort>('mark');
  const [filter, setFilter] = useState<Filter>('all');
  const names = new Map(shelf.rows.map((r) => [r.candidate.id, r.candidate.name]));
  const marks = useMemo(
    () =>
      rankSections(
        shelf.rows.flatMap((r) => (r.merits ? [{ id: r.candidate.id, merits: r.merits }] : [])),
        choice.weights,
      ),
    [shelf.rows, choice.weights],
  );
  const markOf = new Map(marks.map((m) => [m.id, m.mark]));
  const turns = weightTurns(marks, choice.weights);
  const rows = shelf.rows
    .filter(FILTERS[filter])
    .sort(
      (a, b) =>
        SORTS[sort](a, markOf.get(a.candidate.id) ?? -1) - SORTS[sort](b, markOf.get(b.candidate.id) ?? -1),
    );
  const column = (key: Sort | null, name: string, title: string) => (
    <th className="num" aria-sort={key === sort ? 'descending' : undefined} title={title}>
      {key ? (
        <button type="button" className="sorter" onClick={() => setSort(key)}>
          {name}
          {key === sort ? ' ▾' : ''}
        </button>
      ) : (
        name
      )}
    </th>
  );
  const n = (v: number | null | undefined, f = 3) =>
    v == null || !Number.isFinite(v) ? '–' : formatNumber(v, f);
  return (
    <div className="cols cols-shelftable">
      <div className="stack gap8">
        <div className="line gap12 base wraps">
          <NativeSelect
            aria-label="Show"
            size="xs"
            value={filter}
            onChange={(e) => setFilter(e.currentTarget.value as Filter)}
            data={[
              { value: 'all', label: 'All sections' },
              { value: 'own', label: 'Of this design' },
              { value: 'flat', label: 'Flat-bottomed' },
              { value: 'buildable', label: '9 % and thicker' },
              { value: 'trusted', label: 'Computed with confidence' },
            ]}
          />
          <span className="dim note">
            Largest lift at Re {formatNumber(work.atStall, 2)}, the rest at Re {formatNumber(work.atWork, 2)}{' '}
            and lift {formatNumber(choice.lift, 2)}
          </span>
          {shelf.progress && (
            <span role="status" className="atend line gap8 mid note">
              <progress value={shelf.progress.done} max={shelf.progress.total} aria-label="Polars computed" />
              {shelf.progress.done} of {shelf.progress.total}
              <Button size="compact-xs" variant="default" onClick={shelf.stop}>
                Stop
              </Button>
            </span>
          )}
          {shelf.stopped && (
            <span className="atend">
              <Button size="compact-xs" variant="light" onClick={shelf.start}>
                Go on computing
              </Button>
            </span>
          )}
        </div>
        <div className="scrollx">
          <table className="sheet shelf">
            <thead>
              <tr>
                <th>
                  <span className="vh">Compare</span>
                </th>
                <th>Section</th>
                {column('thickness', 'Thick', 'largest thickness, % of the chord')}
                <th className="num">Camber</th>
                {column('clMax', 'cl max', 'at the stall’s Reynolds number')}
                {column('glide', 'cl/cd', 'at the working lift; best of all in brackets')}
                {column('drag', 'cd', 'at the working lift')}
                <th className="num" title="lift range with drag within a quarter of the least">
                  Low drag
                </th>
                {column('moment', 'cm', 'about the quarter chord')}
                {column('spar', 'At spar', 'thickness at the spar’s place')}
                {column('mark', 'Mark', 'from the weights beside')}
                <th>
                  <span className="vh">Put in the design</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {rows.map((r) => {
                const { candidate: c, merits: m } = r;
                const first = marks[0]?.id === c.id;
                return (
                  <tr key={c.id} className={first ? 'chosen' : undefined}>
                    <td>
                      <input
                        type="checkbox"
                        aria-label={`Compare ${c.name}`}
                        checked={picked.has(c.id)}
                        onChange={() => onPick(c.id)}
                      />
                    </td>
                    <td>
                      <span
                        style={{
                          display: 'grid',
                          gridTemplateColumns: '52px minmax(0, 1fr)',
                          gap: 8,
                          alignItems: 'center',
                          minWidth: 148,
                        }}
                      >
                        {r.outline ? <Outline contour={r.outline} label="" /> : <span />}
                        <span className="wrapping tightlines">
                          {c.name}
                          {c.origin === 'own' && <span className="dim"> · in the design</span>}
                          {m?.confidence === 'low' && (
                            <span
                              className="looktext"
                              title="Theory and tests on plates or steps, or outside the method’s range"
                            >
                              {' '}
                              · rough
                            </span>
                          )}
                        </span>
                      </span>
                    </td>
                    {r.problem ? (
                      <td colSpan={9} className="stoptext small">
                        {r.problem}
                      </td>
                    ) : (
                      <>
                        <td className="num">{n(m && 100 * m.thickness)}</td>
                        <td className="num">{n(m && 100 * m.camber, 2)}</td>
                        <td className="num">{n(m?.clMax)}</td>
                        <td className="num">
                          {n(m?.glideAtLift)}
                          {m && <span className="dim"> ({n(m.bestGlide, 2)})</span>}
                        </td>
                        <td className="num">
                          {m && Number.isFinite(m.dragAtLift) ? m.dragAtLift.toFixed(4) : '–'}
                        </td>
                        <td className="num">{m ? `${fixed(m.lowDragFrom)}…${fixed(m.lowDragTo)}` : '–'}</td>
                        <td className="num">{m ? fixed(m.moment, 3) : '–'}</td>
                        <td className="num">{n(m && 100 * m.sparDepth)}</td>
                        <td className="num">
                          <strong>{m ? (markOf.get(c.id) ?? 0).toFixed(2) : '–'}</strong>
                        </td>
                      </>
                    )}
                    <td>
                      {c.origin === 'family' && (
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
                      )}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </div>
        {rows.length === 0 && (
          <p className="dim">No section on the shelf is like that; show all sections again.</p>
        )}
      </div>
      <section className="block" aria-label="What counts">
        <h2>What counts</h2>
        <div className="stack gap4">
          <QuantityField
            label="Working lift coefficient"
            value={choice.lift}
            kind="ratio"
            onCommit={(lift) => onChoice({ ...choice, lift })}
          />
          {MERITS.map((m) => (
            <QuantityField
              key={m}
              label={MERIT_NAMES[m][0]}
              hint={MERIT_NAMES[m][1]}
              value={choice.weights[m] ?? 0}
              kind="ratio"
              onCommit={(v) => onChoice({ ...choice, weights: { ...choice.weights, [m]: v } })}
            />
          ))}
        </div>
        {marks.length > 1 && (
          <p className="note flushbottom">
            <strong>{names.get(marks[0].id)}</strong> leads with {marks[0].mark.toFixed(2)}, then{' '}
            {names.get(marks[1].id)} with {marks[1].mark.toFixed(2)}.{' '}
            {turns.length === 0
              ? 'No single weight from 0 to 10 changes that.'
              : `Most easily turned: with “${MERIT_NAMES[turns[0].merit][0].toLowerCase()}” at ${turns[0].weight.toFixed(1)} instead of ${(choice.weights[turns[0].merit] ?? 0).toFixed(1)}, ${names.get(turns[0].winner)} would lead.`}
          </p>
        )}
      </section>
    </div>
  );
}
