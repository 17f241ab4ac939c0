'use client';
/** What a section is chosen by: weights, who leads with them, and what would turn that. */
import type { SectionChoice } from '@skiametra/core/design';
import { MERITS } from '@skiametra/core/section';
import { QuantityField } from '../../../parts/fields/QuantityField';
import { KeepTable } from './KeepTable';
import { MERIT_NAMES } from './meritNames';
import type { Ranking } from './useMarksOf';

interface Props {
  choice: SectionChoice;
  onChoice: (c: SectionChoice) => string | null;
  ranking: Ranking;
}

export function WhatCounts({ choice, onChoice, ranking }: Props) {
  return (
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
      <Leads ranking={ranking} weights={choice.weights} />
      <KeepTable ranking={ranking} weights={choice.weights} />
    </section>
  );
}

function Leads({ ranking, weights }: { ranking: Ranking; weights: SectionChoice['weights'] }) {
  const [first, second] = ranking.marks,
    turn = ranking.turns[0];
  if (!first || !second) return null;
  const turned =
    turn &&
    `Most easily turned: with “${MERIT_NAMES[turn.merit][0].toLowerCase()}” at ${turn.weight.toFixed(1)} ` +
      `instead of ${(weights[turn.merit] ?? 0).toFixed(1)}, ${ranking.nameOf(turn.winner)} would lead.`;
  return (
    <p className="note flushbottom">
      <strong>{ranking.nameOf(first.id)}</strong> leads with {first.mark.toFixed(2)}, then{' '}
      {ranking.nameOf(second.id)} with {second.mark.toFixed(2)}.{' '}
      {turned ?? 'No single weight from 0 to 10 changes that.'}
    </p>
  );
}
