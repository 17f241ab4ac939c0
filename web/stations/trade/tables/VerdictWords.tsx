import type { DecisionTable } from '@skiametra/core/design';
import type { Verdict } from '@skiametra/core/trade';

interface Props {
  table: DecisionTable;
  verdict: Verdict;
}

const MOST_TURNS = 3;
/** Weights go no further. */
const MOST_WEIGHT = 10;
/** A lead below this is within what two judges differ by. */
const WEAK = 0.5;

/** Who wins, by how little, and what turns it. */
export function VerdictWords({ table, verdict }: Props) {
  const { winner, second, lead, ranked } = verdict,
    turns = verdict.turns.filter((t) => t.at <= MOST_WEIGHT),
    out = ranked.filter((r) => !r.stays);
  return (
    <section className="block" aria-label="What it comes to" aria-live="polite">
      <h2>What it comes to</h2>
      {winner ? (
        <p className="flush">
          <b>{winner.name}</b> with {winner.total!.toFixed(2)}
          {second && lead !== null ? (
            <>
              , {lead.toFixed(2)} ahead of {second.name}.
              {lead < WEAK && ' That is a weak win: two judges differ by more.'}
            </>
          ) : (
            '.'
          )}
        </p>
      ) : (
        <p className="flush">{undecided(table, verdict)}</p>
      )}
      {turns.length > 0 && (
        <ul className="plainlist note">
          {turns.slice(0, MOST_TURNS).map((t) => (
            <li key={t.criterion}>
              {second!.name} draws level with “{t.name}” at {t.at.toFixed(1)} instead of {t.now.toFixed(1)}
            </li>
          ))}
        </ul>
      )}
      {winner && second && turns.length === 0 && <p className="note">No single weight turns it.</p>}
      {out.map((r) => (
        <p key={r.id} className="dim note">
          {r.name} is out: {r.rejected.trim() !== '' ? r.rejected : `too little in ${r.fails.join(', ')}`}.
        </p>
      ))}
    </section>
  );
}

function undecided(table: DecisionTable, { ranked, second }: Verdict): string {
  if (table.options.length === 0) return 'Add an option.';
  if (ranked.every((r) => !r.stays)) return 'Nothing stays: every option is rejected or misses a must.';
  if (!second) return 'One option alone: there is nothing to weigh it against.';
  return 'Open: a mark that is missing may still change who wins.';
}
