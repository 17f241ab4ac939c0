'use client';
/** Packs and propellers that are changed at the field, each with its numbers and a label to print. */
import { capital } from '../../../parts/capital';
import { Button, NativeSelect } from '@mantine/core';
import { quantityDef } from '@skiametra/core/assess';
import { powertrainOf } from '@skiametra/core/design';
import { propellerMass } from '@skiametra/core/power';
import { formatQuantity } from '@skiametra/core/units';
import type { PowerReport, SwapEffect } from '@skiametra/core/views';
import { useState } from 'react';
import { useSentence } from '../../../parts/Sentence';
import { give } from '../../../parts/give';
import { DocTable, freshId, type DocRow } from '../../../parts/table';
import { DESIGN } from '../../../parts/paths';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { askCore } from '../../../workers/coreClient';
import { SwapData } from './SwapData';

export function Swaps({ report }: { report: PowerReport }) {
  const words = useSentence();
  const document = useWorkspace((w) => w.content.document);
  const ledger = useWorkspace((w) => w.ledger);
  const units = useWorkspace((w) => w.units);
  const edit = useWorkspace((w) => w.edit);
  const [effect, setEffect] = useState<{ id: string; of: unknown; e: SwapEffect } | null>(null);
  const [open, setOpen] = useState<string | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const swaps = document.design.swaps ?? [];
  const look = async (id: string) => {
    const swap = swaps.find((s) => s.id === id)!;
    setTrouble(null);
    try {
      setEffect({
        id,
        of: document,
        e: await askCore<'fitSwap'>({ task: 'fitSwap', document, ledger: ledger!, swap }),
      });
    } catch (e) {
      setTrouble(e instanceof Error ? e.message : String(e));
    }
  };
  const add = (kind: string) => {
    const p = powertrainOf(document.design),
      base = {
        id: freshId(kind, swaps),
        label: `${capital(kind)} ${swaps.filter((s) => s.kind === kind).length + 1}`,
        weighed: false,
        x: null,
        note: '',
      };
    const { diameter, pitch, blades, family } = p.propeller;
    const row =
      kind === 'propeller'
        ? {
            ...base,
            kind,
            mass: propellerMass(p.propeller),
            data: { diameter, pitch, blades, ...(family ? { family } : {}) },
          }
        : kind === 'motor'
          ? { ...base, kind, mass: p.motor.mass ?? 0.1, data: p.motor }
          : { ...base, kind, mass: 0.25, data: p.battery };
    setTrouble(edit({ type: 'set', path: 'document.design.swaps', value: [...swaps, row] }));
    setOpen(base.id);
  };
  const labels = () =>
    give('labels.txt', 'text/plain', report.swaps.map((s) => s.text).join('\n\n────────\n\n'));
  return (
    <section className="block" aria-label="Swap set">
      <h2>
        Swap set{' '}
        <span className="right">
          <NativeSelect
            size="xs"
            aria-label="Add a part to the swap set"
            value=""
            onChange={(e) => {
              if (e.currentTarget.value) add(e.currentTarget.value);
            }}
            data={[
              { value: '', label: 'Add …' },
              { value: 'propeller', label: 'a propeller' },
              { value: 'motor', label: 'a motor' },
              { value: 'pack', label: 'a pack' },
            ]}
          />
        </span>
      </h2>
      {swaps.length === 0 && (
        <p className="dim">
          No labelled parts yet: weigh each propeller, motor and pack, give it a name and a sticker, and a
          swap shows what it does to balance and performance.
        </p>
      )}
      {swaps.length > 0 && (
        <SwapTable report={report} open={open} setOpen={setOpen} onLook={(id) => void look(id)} />
      )}
      {open && swaps.some((s) => s.id === open) && (
        <SwapData key={open} id={open} close={() => setOpen(null)} />
      )}
      {effect && (
        <div className="mt8" role="status">
          <b>{words(effect.e.fix.label)}</b>
          {effect.of !== document ? ' (for the design before your last change)' : ''}:{' '}
          {summary(effect.e, units)}
          {effect.e.findings.length > 0 && (
            <div className="stoptext note">{effect.e.findings.map(words).join(' ')}</div>
          )}{' '}
          <Button
            size="compact-xs"
            variant="default"
            onClick={() => {
              setTrouble(
                edit({
                  type: 'apply',
                  changes: effect.e.fix.changes.map((c) => ({
                    path: `document.design.${c.path}`,
                    value: c.value,
                  })),
                }),
              );
              setEffect(null);
            }}
          >
            Fit it
          </Button>
        </div>
      )}
      {trouble && (
        <div role="alert" className="stoptext">
          {trouble}
        </div>
      )}
      {swaps.length > 0 && (
        <div className="line gap8 mt8">
          <Button size="compact-xs" variant="default" onClick={labels}>
            Labels as text
          </Button>
          <Button size="compact-xs" variant="default" onClick={() => void printLabels(report)}>
            Labels as PDF
          </Button>
        </div>
      )}
    </section>
  );
}

const TOLD = [
  'staticThrust',
  'staticCurrent',
  'topSpeed',
  'groundRun',
  'climbRate',
  'endurance',
  'staticMargin',
  'flightTime',
  'peakHeight',
  'hoverTime',
  'score',
];

function summary(e: SwapEffect, units: 'metric' | 'imperial'): string {
  const told = TOLD.flatMap((id) => {
    const c = e.changes.find((x) => x.id === id);
    const def = quantityDef(id);
    return c && def
      ? [
          `${def.name.toLowerCase()} ${formatQuantity(c.before, def.kind, units)} → ${formatQuantity(c.after, def.kind, units)}`,
        ]
      : [];
  });
  return told.length ? `${told.join(', ')}.` : 'nothing moves by a thousandth.';
}

async function printLabels(report: PowerReport): Promise<void> {
  const { labelSheet } = await import('@skiametra/formats/template');
  give('labels.pdf', 'application/pdf', labelSheet(report.swaps.map((s) => s.text)));
}

interface SwapTableProps {
  report: PowerReport;
  open: string | null;
  setOpen: (id: string | null) => void;
  onLook: (id: string) => void;
}
function SwapTable({ report, open, setOpen, onLook }: SwapTableProps) {
  const units = useWorkspace((w) => w.units);
  const foundOf = (row: DocRow) => report.swaps.find((x) => x.id === row.id);
  const moves = (row: DocRow) => {
    const found = foundOf(row);
    if (!found) return '';
    return found.fitted ? 'fitted' : formatQuantity(found.cgShift, 'length', units);
  };
  const actions = (row: DocRow) => (
    <>
      {!foundOf(row)?.fitted && (
        <Button size="compact-xs" variant="subtle" onClick={() => onLook(String(row.id))}>
          What it does
        </Button>
      )}
      <Button
        size="compact-xs"
        variant="subtle"
        aria-expanded={open === row.id}
        onClick={() => setOpen(open === row.id ? null : String(row.id))}
      >
        Data
      </Button>
    </>
  );
  return (
    <DocTable
      path={`${DESIGN}.swaps`}
      caption="Swap set"
      columns={[
        { key: 'label', label: 'Label', cell: { type: 'text' } },
        {
          key: 'kind',
          label: 'Kind',
          width: 72,
          cell: { type: 'shown', render: (row) => String(row.kind), value: (row) => String(row.kind) },
        },
        { key: 'mass', label: 'Mass', width: 60, cell: { type: 'quantity' } },
        { key: 'weighed', label: 'Weighed', width: 60, cell: { type: 'check' } },
        {
          key: 'moves',
          label: 'CG moves',
          width: 72,
          numeric: true,
          cell: { type: 'shown', render: moves, value: (row) => foundOf(row)?.cgShift ?? null },
        },
        { key: 'do', label: '', width: 150, cell: { type: 'shown', render: actions } },
      ]}
    />
  );
}
