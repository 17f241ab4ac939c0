'use client';
/** Another layout at the size of this one, a first guess from proven models, and what car, printer and sheet allow. */
import { Sentence } from '../../parts/Sentence';
import { Button, Modal } from '@mantine/core';
import { useState } from 'react';
import {
  averageProportions,
  beyondModels,
  LAYOUT_TEMPLATES,
  proportionsOf,
  withProportions,
} from '@skiametra/core/layout';
import type { Piece } from '@skiametra/core/layout';
import { entryOf } from '@skiametra/core/assess';
import { formatQuantity, formatValue } from '@skiametra/core/units';
import { DocField } from '../../parts/QuantityField';
import { SheetTable, freshId } from '../../parts/SheetTable';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { askCore } from '../../workers/coreClient';

const D = 'document.design';

export function LayoutChooser() {
  const design = useWorkspace((w) => w.content.document.design);
  const edit = useWorkspace((w) => w.edit);
  const [open, setOpen] = useState(false);
  const [busy, setBusy] = useState<string | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const choose = async (id: string) => {
    setBusy(id);
    setTrouble(null);
    try {
      const made = await askCore<'template'>({ task: 'template', design, id });
      const refused = edit({ type: 'set', path: D, value: made });
      if (refused) setTrouble(refused);
      else setOpen(false);
    } catch (e) {
      setTrouble(e instanceof Error ? e.message : String(e));
    } finally {
      setBusy(null);
    }
  };
  return (
    <>
      <Button size="xs" variant="light" onClick={() => setOpen(true)}>
        Another layout…
      </Button>
      <Modal
        opened={open}
        onClose={() => setOpen(false)}
        title="Layouts, drawn at this span and chord"
        size="xl"
      >
        <p className="dim flushtop">
          The surfaces, body and wing masses are replaced and the wings shifted until it balances; equipment,
          payload, power and brief stay. One undo brings this layout back.
        </p>
        {trouble && (
          <p className="stoptext" role="alert">
            {trouble}
          </p>
        )}
        {LAYOUT_TEMPLATES.map((t) => (
          <div
            key={t.id}
            style={{
              display: 'grid',
              gridTemplateColumns: '160px minmax(0, 1fr) 90px',
              gap: 14,
              padding: '8px 0',
              borderBottom: '1px solid var(--hair)',
              alignItems: 'center',
            }}
          >
            <b>{t.name}</b>
            <div className="note">
              {t.fixes} <span className="dim">{t.costs}</span>
            </div>
            <Button
              size="xs"
              variant="default"
              loading={busy === t.id}
              disabled={busy !== null && busy !== t.id}
              onClick={() => void choose(t.id)}
            >
              Draw it
            </Button>
          </div>
        ))}
      </Modal>
    </>
  );
}

export function References() {
  const references = useWorkspace((w) => w.content.document.brief.references);
  const design = useWorkspace((w) => w.content.document.design);
  const units = useWorkspace((w) => w.units);
  const mass = useWorkspace((w) => (w.ledger ? entryOf(w.ledger, 'mass', w.loading)?.value : undefined));
  const edit = useWorkspace((w) => w.edit);
  const list = references ?? [];
  const avg = averageProportions(list);
  const fresh = () => ({
    id: freshId('model', list),
    name: 'Model',
    note: '',
    span: 1.5,
    area: 0.35,
    mass: null,
    tailArea: null,
    tailArm: null,
    finArea: null,
    bodyLength: null,
    cgChord: null,
  });
  const row = (name: string, v: number | null, digits = 2) =>
    v === null ? null : (
      <div key={name} className="line apart">
        <span className="dim">{name}</span>
        <span className="num">{v.toFixed(digits)}</span>
      </div>
    );
  return (
    <div className="stack">
      <section className="block">
        <h2>Models whose proportions are known</h2>
        <SheetTable
          path="document.brief.references"
          caption="Reference models"
          {...(references ? { addLabel: 'Add a model', newRow: fresh } : {})}
          columns={[
            { key: 'name', label: 'Model', cell: { type: 'text' } },
            { key: 'span', label: 'Span', cell: { type: 'quantity' } },
            { key: 'area', label: 'Wing', cell: { type: 'quantity' } },
            { key: 'mass', label: 'Mass', cell: { type: 'quantity' } },
            { key: 'tailArea', label: 'Tail', cell: { type: 'quantity' } },
            { key: 'tailArm', label: 'Arm', cell: { type: 'quantity' } },
            { key: 'finArea', label: 'Fin', cell: { type: 'quantity' } },
          ]}
        />
        {!references && (
          <Button
            size="xs"
            variant="light"
            onClick={() => edit({ type: 'set', path: 'document.brief.references', value: [fresh()] })}
          >
            Enter a model
          </Button>
        )}
      </section>
      {list.length > 0 && (
        <section className="block">
          <h2>Their mean</h2>
          {row('Aspect ratio', avg.aspectRatio)}
          {row('Wing loading [kg/m²]', avg.wingLoading)}
          {row('Tail over wing area', avg.tailShare, 3)}
          {row('Fin over wing area', avg.finShare, 3)}
          {row('Tail arm over mean chord', avg.tailArm)}
          {row('Tail volume', avg.tailVolume)}
          <Button
            size="xs"
            variant="light"
            mt={8}
            onClick={() => edit({ type: 'set', path: `${D}.surfaces`, value: withProportions(design, avg) })}
          >
            Draw to these proportions at{' '}
            {formatQuantity(Math.max(...design.surfaces[0].stations.map((s) => s.y)) * 2, 'length', units)}{' '}
            span
          </Button>
          {mass !== undefined &&
            beyondModels(design, list, mass).map((s) => (
              <div key={String(s.fields.what)} className="looktext note mt4">
                ▲ <Sentence of={s} />
              </div>
            ))}
          <div className="dim small mt4">
            Tail volumes:{' '}
            {list
              .map((m) => {
                const v = proportionsOf(m).tailVolume;
                return v === null ? null : `${m.name} ${v.toFixed(2)}`;
              })
              .filter(Boolean)
              .join('; ') || 'no model has tail and arm'}
            .
          </div>
        </section>
      )}
    </div>
  );
}

export function Pieces({ pieces }: { pieces: readonly Piece[] | null }) {
  const limits = useWorkspace((w) => w.content.document.design.limits);
  const units = useWorkspace((w) => w.units);
  const edit = useWorkspace((w) => w.edit);
  if (!limits)
    return (
      <div>
        <p className="dim below8">
          Say what the car, the printer and the sheet take, and every change of shape is held against it.
        </p>
        <Button
          size="xs"
          variant="light"
          onClick={() =>
            edit({
              type: 'set',
              path: `${D}.limits`,
              value: {
                longestPiece: 1.2,
                printer: { length: 0.25, width: 0.21, height: 0.21 },
                sheet: { length: 1, width: 0.1 },
              },
            })
          }
        >
          Enter limits
        </Button>
      </div>
    );
  const sign = (ok: boolean | null, text: string) =>
    ok === null ? (
      <span className="dim">–</span>
    ) : (
      <span className={ok ? '' : 'stoptext'}>{ok ? text : `✕ ${text}`}</span>
    );
  return (
    <div className="stack">
      <div className="fields">
        <DocField label="Longest piece carried" path={`${D}.limits.longestPiece`} />
        {limits.printer && (
          <>
            <DocField label="Printer, long" path={`${D}.limits.printer.length`} />
            <DocField label="Printer, wide" path={`${D}.limits.printer.width`} />
            <DocField label="Printer, high" path={`${D}.limits.printer.height`} />
          </>
        )}
        {limits.sheet && (
          <>
            <DocField label="Sheet, long" path={`${D}.limits.sheet.length`} />
            <DocField label="Sheet, wide" path={`${D}.limits.sheet.width`} />
          </>
        )}
      </div>
      {pieces && (
        <table className="sheet" aria-label="Pieces">
          <thead>
            <tr>
              <th>Piece</th>
              <th className="num">Long</th>
              <th className="num">Wide</th>
              <th>Car</th>
              <th className="num">Prints</th>
              <th className="num">Sheets a layer</th>
            </tr>
          </thead>
          <tbody>
            {pieces.map((p) => (
              <tr key={p.name}>
                <td>
                  {p.name}
                  {p.count > 1 ? ' ×2' : ''}
                </td>
                <td className="num">{formatValue(p.length, 'length', units)}</td>
                <td className="num">{formatValue(p.width, 'length', units)}</td>
                <td>{sign(p.carries, p.carries ? 'fits' : 'too long')}</td>
                <td className="num">
                  {p.prints === null
                    ? '–'
                    : sign(
                        Number.isFinite(p.prints),
                        Number.isFinite(p.prints) ? String(p.prints) : 'too wide',
                      )}
                </td>
                <td className="num">{p.sheets ?? '–'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}
