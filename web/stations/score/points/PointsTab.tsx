'use client';
/** Points by state as stacked bars, what limits the chosen one, and the worth list beside it. */
import type { Ledger } from '@skiametra/core/assess';
import { Sentence } from '../../../parts/Sentence';
import { StationFindings } from '../../../parts/Findings';
import { StatePicker } from '../../../parts/StatePicker';
import { RuleSheet } from './RuleSheet';
import { ScoreBars } from './ScoreBars';
import { useWorth } from './useWorth';
import { WorthList } from './WorthList';

export function PointsTab({ ledger }: { ledger: Ledger }) {
  const { worth, limits, busy, trouble } = useWorth();
  return (
    <div className="station cols-score">
      <div className="stack">
        <ScoreBars ledger={ledger} />
        <RuleSheet ledger={ledger} />
        <StationFindings of="score" />
      </div>
      <div className="stack">
        <section className="block" aria-label="What limits the score" aria-live="polite">
          <h2>
            What limits it{' '}
            <span className="right">
              <StatePicker />
            </span>
          </h2>
          {limits ? (
            <p className={busy ? 'dim flush' : 'flush'}>
              <Sentence of={limits} />
            </p>
          ) : (
            <p className="dim flush">{trouble ?? 'One step of every input is being tried …'}</p>
          )}
        </section>
        {worth && <WorthList worth={worth} busy={busy} />}
      </div>
    </div>
  );
}
