'use client';
/** Picked sections held against each other: what lift costs, how near the stall is, where the air turns rough. */
import type { Section, SectionChoice } from '@skiametra/core/design';
import { limitSentence } from '@skiametra/core/section';
import type { SectionWork } from '@skiametra/core/views';
import { Overlay } from '../Outline';
import type { ShelfRow } from '../useShelf';
import { AsBuilt } from './AsBuilt';
import { AtWork } from './AtWork';
import { CompareCharts } from './CompareCharts';
import { MeasuredPolars } from './MeasuredPolars';
import type { Curve } from './curves';

interface Props {
  rows: readonly ShelfRow[];
  work: SectionWork;
  section: Section;
  choice: SectionChoice;
  onChoice: (c: SectionChoice) => string | null;
}

const LOOKS: Curve['look'][] = ['predicted', 'ink', 'second', 'ghost'];

export function Compare({ rows, work, section, choice, onChoice }: Props) {
  const list = rows.flatMap((r) => (r.outline ? [{ ...r, outline: r.outline }] : [])).slice(0, LOOKS.length);
  const curves = list.flatMap((r, i): Curve[] =>
    r.atWork
      ? [{ name: r.candidate.name, look: LOOKS[i] ?? 'ghost', polar: r.atWork, built: r.built ?? null }]
      : [],
  );
  const first = curves[0];
  if (list.length === 0)
    return <p className="dim">Tick sections on the shelf to lay them over each other.</p>;
  return (
    <div className="stack">
      <div className="cols cols-comparepolars">
        <Overlay list={list.map((r) => ({ name: r.candidate.name, contour: r.outline }))} />
        <AsBuilt choice={choice} onChoice={onChoice} />
      </div>
      {!first && (
        <p className="dim" role="status">
          Their polars are being computed, or stopped on the shelf: the comparison follows.
        </p>
      )}
      {first && (
        <>
          <AtWork curves={curves} lift={choice.lift} />
          <p className="flush note">
            <strong>{first.name}.</strong> {limitSentence(first.polar)} The band is its worst case as built.
          </p>
          <CompareCharts curves={curves} lift={choice.lift} measured={section.measured ?? []} />
        </>
      )}
      <MeasuredPolars section={section} reynolds={work.atWork} />
    </div>
  );
}
