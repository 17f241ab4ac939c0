'use client';
/** What one step of every input brings, best first; a click takes the step. */
import { Button } from '@mantine/core';
import { leverOf, type Worth, type WorthRow } from '@skiametra/core/trade';
import { formatQuantity, type UnitSystem } from '@skiametra/core/units';
import { ShownTable, type ShownColumn } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

interface Props {
  worth: Worth;
  busy: boolean;
}

/** Points that are as good as none. */
const NOTHING = 0.05;

export function WorthList({ worth, busy }: Props) {
  const units = useWorkspace((w) => w.units),
    document = useWorkspace((w) => w.content.document),
    edit = useWorkspace((w) => w.edit),
    name = document.design.states.find((s) => s.id === worth.state)?.name ?? worth.state;
  const rows = worth.rows.filter((r) => r.points > NOTHING);
  const take = (r: WorthRow) => {
    const lever = leverOf(document, r.lever);
    if (lever) edit({ type: 'set', path: 'document', value: lever.set(document, r.to) });
  };
  return (
    <section className="block" aria-label="What a step is worth">
      <h2>
        What a step is worth{' '}
        <span className="right dim">
          {name}: {worth.expected.toFixed(0)} ± {worth.sigma.toFixed(0)} points are to be expected
          {worth.chance < 0.995 && `, it can be flown ${(100 * worth.chance).toFixed(0)} times of 100`}
        </span>
      </h2>
      {worth.blocked.length > 0 && (
        <p className="looktext note">Beyond already: {worth.blocked.map((b) => b.name).join('; ')}.</p>
      )}
      <Cheapest rows={rows} units={units} />
      <ShownTable
        name="What a step is worth"
        rows={rows}
        rowKey={(r) => `${r.lever} ${r.to}`}
        columns={columnsOf(units, busy ? null : take)}
      />
      <p className="dim note">
        Points over samples of everything that is not known, with and without the step at the same samples; ±
        is their spread.
      </p>
    </section>
  );
}

/** The step as it is written. */
function stepWords(r: WorthRow, units: UnitSystem): string {
  if (r.choice !== null) return r.choice;
  const by = r.to - r.from;
  return `${by < 0 ? '−' : '+'}${formatQuantity(Math.abs(by), r.kind, units)}`;
}

/** Where ten points come by the fewest steps. */
function Cheapest({ rows, units }: { rows: readonly WorthRow[]; units: UnitSystem }) {
  const best = rows
    .filter((r) => r.toTen !== null)
    .sort((a, b) => a.toTen! - b.toTen! || b.points - a.points);
  if (best.length === 0)
    return <p className="note">No single input brings ten points before something stops it: take several.</p>;
  const said = best
    .slice(0, 3)
    .map(
      (r) =>
        `${r.name.toLowerCase()} (${r.toTen === 1 ? 'one step' : `${r.toTen} steps`} of ${stepWords(r, units)})`,
    );
  return <p className="note">The next ten points are cheapest here: {said.join('; ')}.</p>;
}

function columnsOf(units: UnitSystem, take: ((r: WorthRow) => void) | null): ShownColumn<WorthRow>[] {
  return [
    {
      key: 'name',
      label: 'Input',
      fixed: true,
      value: (r) => r.name,
      render: (r) => (
        <span className="wrapped">
          {r.name}
          {r.also.length > 0 && <span className="dim small"> and {r.also.join(', ').toLowerCase()}</span>}
          <Ahead row={r} />
        </span>
      ),
    },
    {
      key: 'step',
      label: 'Step',
      value: (r) => stepWords(r, units),
      render: (r) => <span className="num nowrap">{stepWords(r, units)}</span>,
    },
    {
      key: 'points',
      label: 'Points',
      numeric: true,
      value: (r) => r.points,
      render: (r) => (
        <span className="num nowrap">
          {r.points.toFixed(1)} <span className="dim">± {r.sigma.toFixed(1)}</span>
        </span>
      ),
    },
    {
      key: 'chance',
      label: 'Can be flown',
      numeric: true,
      value: (r) => r.chance,
      render: (r) =>
        Math.abs(r.chance) < 0.005 ? (
          <span className="dim">as before</span>
        ) : (
          `${r.chance > 0 ? '+' : '−'}${Math.abs(100 * r.chance).toFixed(0)} %`
        ),
    },
    {
      key: 'take',
      label: 'Take',
      render: (r) => (
        <Button size="compact-xs" variant="subtle" disabled={!take} onClick={() => take?.(r)}>
          Take
        </Button>
      ),
    },
  ];
}

/** What the step runs into. */
function Ahead({ row: r }: { row: WorthRow }) {
  if (r.breaks.length > 0)
    return <span className="stoptext small under">breaks {r.breaks.join(', ')} at once</span>;
  if (!r.ending) return r.choice === null ? <span className="dim small under">free for 16 steps</span> : null;
  // its own field's end, or where another number stops
  const what = r.ending.id === null ? 'as far as it may go' : r.ending.name;
  return (
    <span className="dim small under">
      {what} after {r.ending.steps} {r.ending.steps === 1 ? 'step' : 'steps'}
    </span>
  );
}
