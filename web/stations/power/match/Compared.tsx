'use client';
/** Up to four combinations side by side with what is fitted, each through the whole assessment. */
import { Button } from '@mantine/core';
import { quantityDef } from '@skiametra/core/assess';
import { formatQuantity, type UnitSystem } from '@skiametra/core/units';
import { sentence } from '@skiametra/core/words';
import { DESIGN } from '../../../parts/paths';
import { ShownTable, type ShownColumn } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import type { Ghost } from '../useGhost';
import type { Beside, ComparedSet } from './useCompared';

const COMPARED = [
  'mass',
  'staticThrust',
  'staticCurrent',
  'topSpeed',
  'climbRate',
  'groundRun',
  'lapTime',
  'laps',
  'energyLeft',
  'staticMargin',
  'score',
] as const;
/** Stands in the ledger for a run or lap that does not end. */
const NEVER = 9999;

interface Props {
  compared: ComparedSet;
  ghost: Ghost | null;
  setGhost: (g: Ghost | null) => void;
}

export function Compared({ compared, ghost, setGhost }: Props) {
  const rows = differing(useRows(), compared);
  const units = useWorkspace((w) => w.units);
  const columns: ShownColumn<Row>[] = [
    { key: 'name', label: 'Number', fixed: true, value: (r) => r.def.name },
    {
      key: 'now',
      label: 'Fitted now',
      numeric: true,
      value: (r) => formatQuantity(r.now, r.def.kind, units),
    },
    ...compared.list.map((b) => besideColumn(b, units)),
  ];
  return (
    <section className="block" aria-label="Side by side">
      <h2>Side by side, through the whole assessment</h2>
      <ShownTable name="Combinations side by side" rows={rows} rowKey={(r) => r.def.id} columns={columns} />
      {compared.list.map((b) => (
        <BesideLine key={b.id} {...{ beside: b, compared, ghost, setGhost }} />
      ))}
    </section>
  );
}

type Listed = readonly { id: string; state: string; value: number }[];

/** Of a list of numbers, the one of the state in view, else the one of all states. */
const inState = (list: Listed, id: string, state: string) =>
  list.find((e) => e.id === id && e.state === state)?.value ??
  list.find((e) => e.id === id && e.state === 'all')?.value;

/** By how much the numbers of a row differ from what is fitted now: what differs most stands first. */
function differing(rows: Row[], compared: ComparedSet): Row[] {
  const by = (r: Row) =>
    Math.max(
      0,
      ...compared.list.map((b) => {
        const v = b.trial && inState(b.trial.values, r.def.id, r.state);
        return v == null ? 0 : Math.abs(v - r.now) / Math.max(Math.abs(v), Math.abs(r.now), 1e-9);
      }),
    );
  return [...rows].sort((a, b) => by(b) - by(a));
}

function useRows() {
  const ledger = useWorkspace((w) => w.ledger);
  const state = useWorkspace((w) => w.loading);
  return COMPARED.flatMap((id) => {
    const def = quantityDef(id),
      now = ledger ? inState(ledger.entries, id, state) : undefined;
    return def && now !== undefined ? [{ def, now, state }] : [];
  });
}
type Row = ReturnType<typeof useRows>[number];

function besideColumn(beside: Beside, units: UnitSystem): ShownColumn<Row> {
  const valueOf = (r: Row) => beside.trial && inState(beside.trial.values, r.def.id, r.state);
  const said = (r: Row) => {
    const v = valueOf(r);
    if (v == null) return beside.trial ? '–' : '…';
    return v >= NEVER ? 'never' : formatQuantity(v, r.def.kind, units);
  };
  return {
    key: beside.id,
    label: beside.name,
    numeric: true,
    value: said,
    render: (r) => <span className={toneOf(r, valueOf(r))}>{said(r)}</span>,
  };
}

/** Gains and losses that show: a thousandth of what is fitted now. */
function toneOf({ def, now }: Row, then: number | null | undefined): string | undefined {
  if (then == null || def.better === 'none') return undefined;
  const gain = def.better === 'more' ? then - now : now - then,
    least = 1e-3 * Math.abs(now);
  if (gain > least) return 'finetext';
  return gain < -least ? 'looktext' : undefined;
}

const MOST_FINDINGS = 3;

/** What is wrong with one, and what to do with it. */
function BesideLine({ beside, compared, ghost, setGhost }: Props & { beside: Beside }) {
  const units = useWorkspace((w) => w.units);
  const edit = useWorkspace((w) => w.edit);
  const { trial, name } = beside;
  const wrong = trial?.stopped ? [trial.stopped] : (trial?.findings.slice(0, MOST_FINDINGS) ?? []);
  const isGhost = ghost?.name === name;
  const fit = () => {
    const changes = beside.changes.map((x) => ({ path: `${DESIGN}.${x.path}`, value: x.value }));
    edit({ type: 'apply', changes });
    compared.drop(beside.id);
  };
  return (
    <div className="line wraps gap8 mid mt8">
      <b className="small">{name}</b>
      <Button size="compact-xs" onClick={fit}>
        Fit
      </Button>
      <Button
        size="compact-xs"
        variant={isGhost ? 'filled' : 'default'}
        disabled={!trial}
        onClick={() => setGhost(isGhost || !trial ? null : { name, thrust: trial.thrust })}
      >
        Ghost
      </Button>
      <Button
        size="compact-xs"
        variant="subtle"
        aria-label={`Take ${name} away`}
        onClick={() => compared.drop(beside.id)}
      >
        ✕
      </Button>
      <span className="tiny">{wrong.map((f) => sentence(f, units)).join(' ')}</span>
    </div>
  );
}
