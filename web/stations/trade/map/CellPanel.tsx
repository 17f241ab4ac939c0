'use client';
/** One cell: its inputs, what it comes to against the present design, what blocks it; and a version made of it. */
import { Button } from '@mantine/core';
import { entryOf } from '@skiametra/core/assess';
import { BEST, documentAt, type Cell } from '@skiametra/core/trade';
import { formatQuantity } from '@skiametra/core/units';
import { useState } from 'react';
import { VersionDialog } from '../../../parts/VersionDialog';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { leverValue, shownKind, shownName } from './shown';
import type { Found } from './useSweep';

interface Props {
  found: Found;
  index: number | null;
  cell: Cell | null;
}

export function CellPanel({ found, index, cell }: Props) {
  const blocked = found.done && found.best === null;
  return (
    <section className="block" aria-label="The cell" aria-live="polite">
      <h2>{cell && index === found.best ? 'Best that can be flown' : 'The cell'}</h2>
      {blocked && (
        <p className="looktext note">No cell of this study can be flown: a limit blocks every one.</p>
      )}
      {cell && index !== null ? (
        <CellFacts {...{ found, index, cell }} />
      ) : (
        <p className="dim note">Choose a cell on the map.</p>
      )}
      <Everywhere found={found} />
      <MarkLegend />
    </section>
  );
}

type Whole = Props & { index: number; cell: Cell };

function CellFacts({ found, index, cell }: Whole) {
  const units = useWorkspace((w) => w.units),
    { task, study, names } = found,
    { states } = task.doc.design,
    [open, setOpen] = useState(false);
  const value = cell.show[study.show],
    kind = shownKind(study.show);
  return (
    <>
      <dl className="facts">
        {task.axes.map((a) => (
          <Fact
            key={a.lever.id}
            name={a.lever.name}
            value={leverValue(a.lever, cell.at[a.lever.id] ?? null, units)}
          />
        ))}
        {study.state === BEST && (
          <Fact name="Flown as" value={states.find((s) => s.id === cell.state)?.name ?? cell.state} />
        )}
        <Fact
          name={shownName(study.show, task.doc)}
          value={value == null ? '–' : formatQuantity(value, kind, units)}
        />
        <Now found={found} />
      </dl>
      {cell.stopped && <p className="stoptext note">{cell.stopped}</p>}
      {cell.blocked.length > 0 && (
        <p className="stoptext note">Blocked by {cell.blocked.map((b) => names[b] ?? b).join(', ')}.</p>
      )}
      <Button mt={8} mb={16} onClick={() => setOpen(true)}>
        Make it a version
      </Button>
      {open && (
        <VersionDialog
          opened
          onClose={() => setOpen(false)}
          reason={reasonFor(found, cell, units)}
          document={documentAt(task, index)}
          station="trade"
        />
      )}
    </>
  );
}

function Fact({ name, value }: { name: string; value: string }) {
  return (
    <>
      <dt>{name}</dt>
      <dd className="num">{value}</dd>
    </>
  );
}

/** The same number of the design as it is. */
function Now({ found: { task, study } }: { found: Found }) {
  const units = useWorkspace((w) => w.units),
    loading = useWorkspace((w) => w.loading);
  const [id, at] = study.show.split('@'),
    state = at ?? (study.state === BEST ? loading : study.state);
  const entry = useWorkspace((w) => (w.ledger ? entryOf(w.ledger, id as never, state) : undefined));
  if (!entry) return null;
  const name = task.doc.design.states.find((s) => s.id === state)?.name;
  return <Fact name={name ? `Now, ${name}` : 'Now'} value={formatQuantity(entry.value, entry.kind, units)} />;
}

type Units = Parameters<typeof leverValue>[2];

/** Why such a version is made, in words that may be written over. */
function reasonFor({ task, study, names }: Found, cell: Cell, units: Units): string {
  const at = task.axes
      .map((a) => `${a.lever.name} ${leverValue(a.lever, cell.at[a.lever.id] ?? null, units)}`)
      .join(', '),
    value = cell.show[study.show],
    comes =
      value == null
        ? ''
        : ` ${shownName(study.show, task.doc)} comes to ${formatQuantity(value, shownKind(study.show), units)}.`;
  const blocked =
    cell.blocked.length > 0 ? ` Beyond: ${cell.blocked.map((b) => names[b] ?? b).join(', ')}.` : '';
  return `From the study “${study.name}”: ${at}.${comes}${blocked}`;
}

/** Limits that no cell keeps: they are on no map, and block all of it. */
function Everywhere({ found }: { found: Found }) {
  const known = found.cells.flatMap((c) => (c ? [c] : []));
  if (known.length === 0) return null;
  const [first, ...rest] = known,
    all = (first?.blocked ?? []).filter((id) => rest.every((c) => c.blocked.includes(id)));
  if (all.length === 0) return null;
  return (
    <p className="looktext note">
      Blocks all of the map: {all.map((id) => found.names[id] ?? id).join(', ')}.
    </p>
  );
}

/** What the marks of the map mean. */
function MarkLegend() {
  return (
    <div className="marklegend dim note">
      <svg width={18} height={18} aria-hidden>
        <path d="M9 2L16 9L9 16L2 9Z" className="sweepbest" />
      </svg>
      <span>best that can be flown</span>
      <svg width={18} height={18} aria-hidden className="sweeppresent">
        <circle cx={9} cy={9} r={4.5} />
        <path d="M1 9h16M9 1v16" />
      </svg>
      <span>this version</span>
      <svg width={18} height={18} aria-hidden>
        <path d="M9 3L15 9L9 15L3 9Z" className="sweepghost" />
      </svg>
      <span>compared version</span>
      <svg width={18} height={18} aria-hidden>
        <path d="M2 9h14" className="sweeplimit" />
      </svg>
      <span>a limit; hatched: cannot be flown</span>
    </div>
  );
}
