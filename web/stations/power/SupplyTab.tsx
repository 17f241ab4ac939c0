'use client';
/** Who feeds whom and what one failure takes along; and the swap set with what each part does when fitted. */
import { useSentence } from '../../parts/Sentence';
import { powertrainOf } from '@skiametra/core/design';
import { Button, Checkbox, NativeSelect } from '@mantine/core';
import { useState } from 'react';
import { quantityDef } from '@skiametra/core/assess';
import { type PowerReport, type SwapEffect } from '@skiametra/core/views';
import { propellerMass } from '@skiametra/core/power';
import { formatQuantity } from '@skiametra/core/units';
import { give } from '../../parts/give';
import { DocField, TextCell } from '../../parts/QuantityField';
import { SheetTable, freshId } from '../../parts/SheetTable';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { askCore } from '../../workers/coreClient';
import { BladeFields, MotorFields, PackFields } from './DriveInputs';

const P = 'document.design.power';
const KINDS = ['pack', 'regulator', 'controller', 'motor', 'receiver', 'servo', 'other'];

export function SupplyTab({ report }: { report: PowerReport }) {
  const words = useSentence();
  const supply = useWorkspace((w) => powertrainOf(w.content.document.design).supply);
  const edit = useWorkspace((w) => w.edit);
  const r = report.supply;
  const newRow = () => ({
    id: freshId('part', supply ?? []),
    name: 'Part',
    kind: 'other',
    feeds: [],
    volts: null,
    rating: null,
    draw: 0,
    minVolts: null,
    maxVolts: null,
    vital: false,
  });
  return (
    <div className="station cols-supplytab">
      <div className="stack">
        <section className="block">
          <h2>Supply and wiring</h2>
          {supply ? (
            <SheetTable
              path={`${P}.supply`}
              caption="Parts of the supply"
              addLabel="Add a part"
              newRow={newRow}
              columns={[
                { key: 'name', label: 'Part', cell: { type: 'text' }, width: 150 },
                {
                  key: 'kind',
                  label: 'Kind',
                  cell: { type: 'choice', options: KINDS.map((k) => ({ value: k, label: k })) },
                  width: 78,
                },
                {
                  key: 'feeds',
                  label: 'Fed by (any one)',
                  width: 130,
                  cell: { type: 'shown', render: (_row, i) => <Feeds row={i} /> },
                },
                ...(['volts', 'rating', 'draw', 'minVolts', 'maxVolts'] as const).map((key) => ({
                  key,
                  label: {
                    volts: 'Gives',
                    rating: 'Rated',
                    draw: 'Draws',
                    minVolts: 'Least',
                    maxVolts: 'Most',
                  }[key],
                  width: 54,
                  numeric: true,
                  cell: {
                    type: 'shown' as const,
                    render: (_row: Record<string, unknown>, i: number) => (
                      <DocField
                        label={`${key}, row ${i + 1}`}
                        path={`${P}.supply.${i}.${key}`}
                        hideLabel
                        hideUnit
                        optional={key === 'draw' ? undefined : 'null'}
                      />
                    ),
                  },
                })),
                {
                  key: 'vital',
                  label: 'Vital',
                  width: 40,
                  cell: {
                    type: 'shown',
                    render: (row, i) => (
                      <Checkbox
                        aria-label={`Vital, row ${i + 1}`}
                        checked={Boolean(row.vital)}
                        onChange={(e) =>
                          edit({
                            type: 'set',
                            path: `${P}.supply.${i}.vital`,
                            value: e.currentTarget.checked,
                          })
                        }
                      />
                    ),
                  },
                },
              ]}
            />
          ) : (
            <>
              <p className="dim">
                Not drawn yet. List packs, regulators, receiver and servos and who feeds them: single points
                of failure and wrong volts are pointed at.
              </p>
              <Button
                variant="light"
                onClick={() =>
                  edit({
                    type: 'set',
                    path: `${P}.supply`,
                    value: [
                      { ...newRow(), id: 'main', name: 'Flight pack', kind: 'pack', volts: 14.8 },
                      {
                        ...newRow(),
                        id: 'receiver',
                        name: 'Receiver',
                        kind: 'receiver',
                        feeds: ['main'],
                        draw: 0.1,
                        vital: true,
                      },
                    ],
                  })
                }
              >
                Begin with pack and receiver
              </Button>
            </>
          )}
        </section>
        <Swaps report={report} />
      </div>
      <div className="stack">
        {r && (
          <section className="block" aria-label="What fails with what">
            <h2>If one thing fails</h2>
            {r.lines
              .filter((l) => l.said.length > 0)
              .map((l) => (
                <div
                  key={l.id}
                  className={`${`finding ${l.single && l.lost.length ? 'stop' : 'look'}`} pad4`}
                >
                  <span className="sev" aria-hidden="true">
                    {l.single && l.lost.length ? '✕' : '!'}
                  </span>
                  <div>{l.said.map(words).join(' ')}</div>
                </div>
              ))}
            {r.lines.every((l) => l.said.length === 0) && <p className="dim">Nothing hangs on one part.</p>}
          </section>
        )}
        {r && r.volts.length > 0 && (
          <section className="block" aria-label="Volts">
            <h2>Volts: label, full, sagged</h2>
            {r.volts.map((v) => (
              <div key={v.id} className={`note ${v.ok ? '' : 'stoptext'}`}>
                {v.ok ? '' : '✕ '}
                {words(v.said)}
              </div>
            ))}
          </section>
        )}
        {r && (
          <p className="dim note flush">
            Aerials clear of carbon and of the pack, their bare ends at right angles to each other; a compass
            and its wires a hand away from those that carry the motor’s current. Range-check with the motor
            running.
          </p>
        )}
        {report.torque && (
          <section className="block" aria-label="Torque roll">
            <h2>Torque roll, full throttle at 1.2 times the stall</h2>
            <p className="below4">{words(report.torque.said)}</p>
            <p className="dim below4 note">{report.torque.gyro}</p>
            <p className="dim flush note">{report.torque.slipstream}</p>
          </section>
        )}
      </div>
    </div>
  );
}

/** Names of what feeds a part, chosen one by one. */
function Feeds({ row }: { row: number }) {
  const supply = useWorkspace((w) => powertrainOf(w.content.document.design).supply!);
  const edit = useWorkspace((w) => w.edit);
  const part = supply[row];
  const set = (feeds: string[]) => edit({ type: 'set', path: `${P}.supply.${row}.feeds`, value: feeds });
  return (
    <div className="small">
      {part.feeds.map((f) => (
        <button
          key={f}
          type="button"
          className="sorter"
          title="Take this feed away"
          aria-label={`${supply.find((s) => s.id === f)?.name ?? f}: no longer feeds ${part.name}`}
          onClick={() => set(part.feeds.filter((x) => x !== f))}
        >
          {supply.find((s) => s.id === f)?.name ?? f} <span aria-hidden="true">✕ </span>
        </button>
      ))}
      {part.kind !== 'pack' && (
        <select
          className="cell"
          aria-label={`Feed of ${part.name}`}
          value=""
          onChange={(e) => {
            if (e.target.value) set([...part.feeds, e.target.value]);
          }}
        >
          <option value="">{part.feeds.length ? 'or …' : 'choose …'}</option>
          {supply
            .filter((s) => s.id !== part.id && !part.feeds.includes(s.id))
            .map((s) => (
              <option key={s.id} value={s.id}>
                {s.name}
              </option>
            ))}
        </select>
      )}
    </div>
  );
}

function Swaps({ report }: { report: PowerReport }) {
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
        label: `${kind[0].toUpperCase()}${kind.slice(1)} ${swaps.filter((s) => s.kind === kind).length + 1}`,
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
        <div className="scrollx">
          <table className="sheet shelf" aria-label="Swap set">
            <thead>
              <tr>
                <th>Label</th>
                <th>Kind</th>
                <th className="num">Mass</th>
                <th>Weighed</th>
                <th className="num">CG moves</th>
                <th>
                  <span className="vh">Fit or remove</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {swaps.map((s) => {
                const r = report.swaps.find((x) => x.id === s.id);
                return (
                  <tr key={s.id}>
                    <td>
                      <TextCell label={`Label of ${s.label}`} path={`document.design.swaps.${s.id}.label`} />
                    </td>
                    <td>{s.kind}</td>
                    <td className="num">
                      <DocField
                        label={`Mass of ${s.label}`}
                        path={`document.design.swaps.${s.id}.mass`}
                        hideLabel
                      />
                    </td>
                    <td>
                      <Checkbox
                        aria-label={`${s.label} is weighed`}
                        checked={s.weighed}
                        onChange={(e) =>
                          edit({
                            type: 'set',
                            path: `document.design.swaps.${s.id}.weighed`,
                            value: e.currentTarget.checked,
                          })
                        }
                      />
                    </td>
                    <td className="num">
                      {r?.fitted
                        ? 'fitted'
                        : r
                          ? formatQuantity(Math.round(r.cgShift * 1e4) / 1e4, 'length', units)
                          : ''}
                    </td>
                    <td className="oneliner">
                      {!r?.fitted && (
                        <Button size="compact-xs" variant="subtle" onClick={() => void look(s.id)}>
                          What it does
                        </Button>
                      )}
                      <Button
                        size="compact-xs"
                        variant="subtle"
                        aria-expanded={open === s.id}
                        onClick={() => setOpen(open === s.id ? null : s.id)}
                      >
                        Data
                      </Button>
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </div>
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

function SwapData({ id, close }: { id: string; close: () => void }) {
  const swaps = useWorkspace((w) => w.content.document.design.swaps ?? []);
  const edit = useWorkspace((w) => w.edit);
  const s = swaps.find((x) => x.id === id)!,
    at = `document.design.swaps.${id}`;
  return (
    <div className="pad8 ruled">
      {s.kind === 'propeller' ? (
        <BladeFields at={`${at}.data`} />
      ) : s.kind === 'motor' ? (
        <MotorFields at={`${at}.data`} />
      ) : (
        <PackFields at={`${at}.data`} />
      )}
      <div className="fields mt8">
        <DocField label="Stands at x (empty: where the old one was)" path={`${at}.x`} optional="null" />
        <div className="qf">
          <label>
            <span>Note</span>
          </label>
          <TextCell label="Note on the sticker" path={`${at}.note`} />
        </div>
      </div>
      <div className="line gap8 mt8">
        <Button size="compact-xs" variant="default" onClick={close}>
          Close
        </Button>
        <Button
          size="compact-xs"
          variant="subtle"
          color="red"
          onClick={() => {
            edit({ type: 'set', path: 'document.design.swaps', value: swaps.filter((x) => x.id !== id) });
            close();
          }}
        >
          Take it out of the set
        </Button>
      </div>
    </div>
  );
}
