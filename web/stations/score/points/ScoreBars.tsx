'use client';
/** One stacked bar a state: task by task, what takes points away to the left; the best state, and why others do not count. */
import { UnstyledButton } from '@mantine/core';
import { entryOf, type Ledger } from '@skiametra/core/assess';
import { formatNumber } from '@skiametra/core/units';
import { useSentence } from '../../../parts/Sentence';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { barsOf, type Bar } from './scoreFrame';

export function ScoreBars({ ledger }: { ledger: Ledger }) {
  const tasks = useWorkspace((w) => w.content.document.brief.tasks),
    states = useWorkspace((w) => w.content.document.design.states),
    against = useWorkspace((w) => w.againstLedger),
    loading = useWorkspace((w) => w.loading),
    setLoading = useWorkspace((w) => w.setLoading);
  const { bars, zero } = barsOf(ledger, tasks, states, against && !against.stopped ? against : null),
    best = entryOf(ledger, 'bestScore', 'all')?.names;
  return (
    <section className="block" aria-label="Points by state">
      <h2>Points by state</h2>
      <div className="legend dim small">
        {tasks.map((t, i) => (
          <span key={t.id}>
            <i className={`swatch tone${i % 5}`} aria-hidden /> {t.name}
          </span>
        ))}
      </div>
      <div className="scorebars">
        {bars.map((b) => (
          <Row
            key={b.state}
            bar={b}
            zero={zero}
            chosen={b.state === loading}
            best={b.state === best}
            onChoose={() => setLoading(b.state)}
          />
        ))}
      </div>
      {!best && <p className="dim note">Every task names its state: there is nothing to choose.</p>}
      {against && !against.stopped && <p className="dim note">The upright tick is the compared version.</p>}
    </section>
  );
}

interface RowProps {
  bar: Bar;
  zero: number;
  chosen: boolean;
  best: boolean;
  onChoose: () => void;
}

function Row({ bar, zero, chosen, best, onChoose }: RowProps) {
  const words = useSentence();
  return (
    <UnstyledButton className={`scorebar${chosen ? ' chosen' : ''}`} onClick={onChoose} aria-pressed={chosen}>
      <span className="scorename">
        {bar.name}
        {best && <span className="bestmark"> ◆ best</span>}
      </span>
      <span className="scoretrack">
        <span className="scorezero" style={{ left: `${zero}%` }} />
        {bar.parts.map((p) => (
          <span
            key={p.task}
            className={`scorepart tone${p.tone}${p.points < 0 ? ' taken' : ''}`}
            style={{ left: `${p.from}%`, width: `${p.to - p.from}%` }}
            title={`${p.name}: ${formatNumber(p.points, 4)}`}
          />
        ))}
        {bar.spread && (
          <span
            className="scorespread"
            style={{ left: `${bar.spread.from}%`, width: `${bar.spread.to - bar.spread.from}%` }}
          />
        )}
        {bar.ghost !== null && <span className="ghosttick" style={{ left: `${bar.ghost}%` }} />}
      </span>
      <span className="num total">{formatNumber(bar.score, 4)}</span>
      {bar.blocked && (
        <span className="stoptext small blockedby">
          {words({ code: 'because', fields: bar.blocked.fields })}
        </span>
      )}
    </UnstyledButton>
  );
}
