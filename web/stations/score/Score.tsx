'use client';
import { NoTask } from './NoTask';
import { StateScores } from './StateScores';
import type { AnySaid } from '@skiametra/core/words';
import { useSentence } from '../../parts/Sentence';
import { entryOf, scoreRange, type Ledger, keyOf, type QuantityId } from '@skiametra/core/assess';
import { formatNumber } from '@skiametra/core/units';
import { ChartFrame } from '../../parts/ChartFrame';
import { StationFindings } from '../../parts/Findings';
import { Readings } from '../../parts/marks/Reading';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { FormulaEditor } from '../brief/FormulaEditor';

export function Score() {
  const ledger = useWorkspace((w) => w.ledger);
  const brief = useWorkspace((w) => w.content.document.brief);
  const design = useWorkspace((w) => w.content.document.design);
  const against = useWorkspace((w) => w.againstLedger);

  const words = useSentence();
  /** What blocks a state, without saying that it does. */
  const because = (said: AnySaid | undefined) => said && words({ code: 'because', fields: said.fields });
  if (!ledger || ledger.stopped) return <StationFindings of="shape" />;
  if (!brief.tasks.length) return <NoTask />;
  const sweep = [...design.states].sort((a, b) => a.count - b.count);
  const value = (l: Ledger, id: QuantityId, s: string, part?: string) => entryOf(l, id, s, part)?.value ?? 0;
  const x = sweep.map((l) => l.count);
  const named = entryOf(ledger, 'bestScore', 'all')?.names;
  const best = design.states.find((l) => l.id === named);
  const bound = brief.tasks.length > 0 && brief.tasks.every((m) => m.state !== 'each');
  const values = Object.fromEntries(ledger.entries.map((e) => [keyOf(e), e.value]));
  const range = best && brief.rivals.length > 0 ? scoreRange(brief, design, values, best.id) : null;
  const blockOf = (state: string) =>
    ledger.entries
      .filter((e) => e.state === state && e.id === 'points')
      .flatMap((e) => e.warnings)
      .find((w) => w.code === 'no-points');
  const blocked = sweep.filter((l) => blockOf(l.id));
  return (
    <div className="station">
      <div className="stack">
        {brief.tasks.map((m, i) => (
          <section key={m.id} className="block">
            <h2>
              {m.name}
              <span className="right dim">
                {m.state === 'each' ? 'free choice' : design.states.find((l) => l.id === m.state)?.name}
              </span>
            </h2>
            <FormulaEditor index={i} />
          </section>
        ))}
        <StationFindings of="score" />
        {bound && (
          <p className="flush">
            Every task names its state: {formatNumber(value(ledger, 'bestScore', 'all'), 4)} points in all,
            with nothing to choose.
          </p>
        )}
        {best && (
          <p className="flush">
            Best: <b>{best.name}</b> with {formatNumber(value(ledger, 'bestScore', 'all'), 4)} points.
            {blocked[0] && (
              <>
                {' '}
                From {blocked[0].name} on it does not count: {because(blockOf(blocked[0].id))}
              </>
            )}
          </p>
        )}
        {range && (
          <p className="dim flush">
            While the field does between its low and its high figures this state scores{' '}
            {formatNumber(range[0], 4)} to {formatNumber(range[1], 4)}.
          </p>
        )}
      </div>
      <div className="stack">
        <ChartFrame
          title={`Score against ${design.payload.name.toLowerCase()}s carried`}
          height={330}
          xName={`${design.payload.name}s`}
          xKind="count"
          yName="Score"
          yKind="points"
          yFromZero
          at={best ? { x: best.count, y: value(ledger, 'bestScore', 'all'), name: 'best' } : null}
          series={[
            {
              name: 'score',
              x,
              y: sweep.map((l) => value(ledger, 'score', l.id)),
              sigma: sweep.map((l) => entryOf(ledger, 'score', l.id)?.sigma ?? 0),
              look: 'predicted',
              joined: true,
            },
            ...(against && !against.stopped
              ? [
                  {
                    name: 'compared version',
                    x,
                    y: sweep.map((l) => value(against, 'score', l.id)),
                    look: 'ghost' as const,
                  },
                ]
              : []),
          ]}
        />
        <StateScores
          ledger={ledger}
          states={sweep}
          best={best?.id}
          because={(state) => because(blockOf(state))}
        />
      </div>
      <div className="stack">
        <Readings title="Best" state="all" ids={['bestScore', 'bestCount']} />
        <Readings
          title="What it is made of"
          ids={['score', 'payloadCount', 'laps', 'lapTime', 'timedTime', 'energyLeft', 'groundRun']}
        />
      </div>
    </div>
  );
}
