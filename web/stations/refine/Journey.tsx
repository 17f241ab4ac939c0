'use client';
/** Each number's way on one line: predicted before any test, measured by each, predicted now, beside the compared version. */
import { keyOf, quantityDef, type Ledger } from '@skiametra/core/assess';
import { priorCalibration, type Measurement } from '@skiametra/core/design';
import { formatMeasured, formatQuantity, type KindName } from '@skiametra/core/units';
import { useEffect, useMemo, useState } from 'react';
import { placeOn, scaleOf, type Scale } from '../../parts/marks/marks';
import { comparableTests, useWorkspace } from '../../parts/workspace/useWorkspace';
import { askCore } from '../../workers/coreClient';

interface Reading {
  m: Measurement;
  title: string;
}

/** The ledger with every factor at its prior; the present one while no test is in it. */
function useBefore(): Ledger | null {
  const document = useWorkspace((w) => w.content.document),
    ledger = useWorkspace((w) => w.ledger),
    taught = document.calibration.from.length > 0,
    [before, setBefore] = useState<Ledger | null>(null);
  useEffect(() => {
    if (!taught) return;
    let here = true;
    void askCore({ task: 'assess', document: { ...document, calibration: priorCalibration() } }).then(
      (l) => {
        if (here) setBefore(l);
      },
      () => undefined,
    );
    return () => {
      here = false;
    };
  }, [document, taught]);
  return taught ? before : ledger;
}

/** Readings of every number of the ledger that was measured, oldest test first. */
function useReadings(): Map<string, Reading[]> {
  const content = useWorkspace((w) => w.content),
    versionId = useWorkspace((w) => w.versionId),
    ledger = useWorkspace((w) => w.ledger);
  return useMemo(() => {
    const out = new Map<string, Reading[]>();
    for (const t of comparableTests({ content, versionId, ledger }))
      for (const m of t.body.measurements) {
        const key = `${m.quantity}@${m.state}`;
        if (quantityDef(m.quantity)) out.set(key, [...(out.get(key) ?? []), { m, title: t.body.card.title }]);
      }
    return out;
  }, [content, versionId, ledger]);
}

export function Journey() {
  const ledger = useWorkspace((w) => w.ledger),
    against = useWorkspace((w) => w.againstLedger),
    versions = useWorkspace((w) => w.versions),
    againstId = useWorkspace((w) => w.againstId),
    versionId = useWorkspace((w) => w.versionId),
    states = useWorkspace((w) => w.content.document.design.states),
    before = useBefore(),
    readings = useReadings();
  if (!ledger) return null;
  const at = (l: Ledger | null, key: string) => l?.entries.find((e) => keyOf(e) === key) ?? null;
  const rows = [...readings].flatMap(([key, list]) => {
    const now = at(ledger, key);
    return now ? [{ key, list, now, first: at(before, key), other: at(against, key) }] : [];
  });
  const nameOf = (id: number | null) => versions.find((v) => v.id === id)?.name;
  return (
    <section className="block" aria-label="Journey of each number">
      <h2>From the drawing to the tests</h2>
      <p className="dim small flush">
        ◇ predicted before any test · ● measured, one for each reading (faint where it may not teach) · ◆
        predicted now by {nameOf(versionId)}
        {againstId !== null && ` · │ by ${nameOf(againstId)}`}
      </p>
      {rows.length === 0 && (
        <p className="dim">Nothing measured yet: fly a card in Test, or run the bench in Power.</p>
      )}
      {rows.map(({ key, list, now, first, other }) => (
        <Line
          key={key}
          name={quantityDef(now.id)!.name}
          state={states.find((s) => s.id === now.state)?.name ?? ''}
          kind={quantityDef(now.id)!.kind}
          {...{ list, now, first }}
          other={other?.value ?? null}
        />
      ))}
    </section>
  );
}

interface Spread {
  value: number;
  sigma: number;
}
interface LineProps {
  name: string;
  state: string;
  kind: KindName;
  list: readonly Reading[];
  now: Spread;
  first: Spread | null;
  other: number | null;
}

function Line({ name, state, kind, list, now, first, other }: LineProps) {
  const units = useWorkspace((w) => w.units),
    spread = (s: Spread) => formatMeasured(s.value, s.sigma, kind, units);
  const scale = scaleOf([
    ...list.map(({ m }) => ({ asked: null, predicted: m, measured: null })),
    { asked: null, predicted: now, measured: null, ghost: other },
    ...(first ? [{ asked: null, predicted: first, measured: null }] : []),
  ]);
  const words = [
    first ? `before ${spread(first)}` : '',
    ...list.map(({ m, title }) => `${m.source} ${spread(m)}, ${title}`),
    `now ${spread(now)}`,
    other === null ? '' : `compared version ${formatQuantity(other, kind, units)}`,
  ].filter(Boolean);
  return (
    <div className="journey">
      <div className="line gap8 wraps">
        <b className="strong">{name}</b> <span className="dim tiny">{state}</span>
        <span className="atend num tiny">
          {first && <span className="dim">{spread(first)} → </span>}
          {spread(now)}
        </span>
      </div>
      <Marks {...{ scale, list, now, first, other }} label={`${name}: ${words.join('; ')}`} />
      <div className="dim tiny">
        {list.map(({ m, title }, i) => (
          <span key={`${m.source} ${m.from} ${title}`} title={m.from}>
            {i > 0 && ' · '}
            <span className={m.setAside ? '' : 'measuredtext'}>{spread(m)}</span> {m.source}, {title}
          </span>
        ))}
      </div>
    </div>
  );
}

const H = 22,
  Y = 11;

function Marks({
  scale,
  list,
  now,
  first,
  other,
  label,
}: Omit<LineProps, 'name' | 'state' | 'kind'> & { scale: Scale; label: string }) {
  const x = (v: number) => `${placeOn(scale, v).at.toFixed(2)}%`,
    band = (s: Spread) => ({
      from: placeOn(scale, s.value - s.sigma).at,
      to: placeOn(scale, s.value + s.sigma).at,
    });
  const wide = (s: Spread) => `${Math.max(0.2, band(s).to - band(s).from).toFixed(2)}%`;
  return (
    <svg className="journeymarks" width="100%" height={H} role="img" aria-label={label}>
      <line className="axis" x1="0" x2="100%" y1={Y} y2={Y} />
      {first && (
        <rect className="beforeband" x={`${band(first).from}%`} width={wide(first)} y={Y - 7} height={14} />
      )}
      <rect className="nowband" x={`${band(now).from}%`} width={wide(now)} y={Y - 4} height={8} />
      {other !== null && <line className="other" x1={x(other)} x2={x(other)} y1={2} y2={H - 2} />}
      {list.map(({ m, title }) => (
        <g key={`${m.source} ${m.from} ${title}`} className={m.setAside ? 'reading aside' : 'reading'}>
          <line x1={`${band(m).from}%`} x2={`${band(m).to}%`} y1={Y} y2={Y} />
          <circle cx={x(m.value)} cy={Y} r={3.6} />
        </g>
      ))}
      {first && (
        <svg x={x(first.value)} y={0} width={1} height={H} overflow="visible" className="before">
          <path d={`M 0 ${Y - 5} l 4 5 l -4 5 l -4 -5 z`} />
        </svg>
      )}
      <svg x={x(now.value)} y={0} width={1} height={H} overflow="visible" className="now">
        <path d={`M 0 ${Y - 5} l 4 5 l -4 5 l -4 -5 z`} />
      </svg>
    </svg>
  );
}
