'use client';
import { Button } from '@mantine/core';
import { useState, type CSSProperties } from 'react';
import { entryOf } from '@skiametra/core/assess';
import { BASES, type Item } from '@skiametra/core/design';
import { loadedState, placeForCg, plannedItem, solveBalance } from '@skiametra/core/mass';
import { formatQuantity, formatSpread, formatValue, shownUnit } from '@skiametra/core/units';
import { StationFindings } from '../parts/Findings';
import { LoadingPicker } from '../parts/LoadingPicker';
import { DocField, IntField, QuantityField } from '../parts/QuantityField';
import { Readings } from '../parts/Reading';
import { SheetTable, freshId } from '../parts/SheetTable';
import { PlanView } from '../parts/ThreeViews';
import { useWorkspace } from '../parts/workspace/useWorkspace';

const D = 'document.design';
const GROUPS = ['structure', 'propulsion', 'battery', 'electronics', 'gear', 'other'] as const;

export function Balance() {
  const design = useWorkspace((w) => w.content.document.design);
  const ledger = useWorkspace((w) => w.ledger);
  const loading = useWorkspace((w) => w.loading);
  return (
    <div className="station" style={{ '--cols': 'minmax(0, 1.1fr) minmax(0, 1fr) 200px' } as CSSProperties}>
      <div className="stack"><MassLedger /><Payload /></div>
      <div className="stack">
        <div style={{ display: 'flex', gap: 10, alignItems: 'center' }}><LoadingPicker /><span className="dim" style={{ fontSize: '0.75rem' }}>diamonds: CG of each loading; band: where it may lie; amber dots can move</span></div>
        <StationFindings of={['balance']} empty="Every loading lies inside its limits." />
        <PlanView design={design} ledger={ledger} loading={loading} showItems height={300} />
        <CgBand />
        <Where />
      </div>
      <div className="stack">
        <Readings title="Balance" ids={['mass', 'plannedMass', 'cgX', 'cgChord', 'staticMargin', 'trimElevator']} />
        <Readings title="Limits" ids={['neutralPoint', 'cgForward', 'cgAft']} />
        <section className="block"><h2>Margin wanted</h2><div className="fields"><DocField label="Least" path={`${D}.flight.marginMin`} kind="chordPercent" /><DocField label="Most" path={`${D}.flight.marginMax`} kind="chordPercent" /></div></section>
        <p className="dim" style={{ margin: 0, fontSize: '0.75rem' }}>First flights: begin at the forward end of the band, then a few millimetres aft at a time. Distances are from the nose datum.</p>
      </div>
    </div>
  );
}

function MassLedger() {
  const design = useWorkspace((w) => w.content.document.design);
  const units = useWorkspace((w) => w.units);
  const edit = useWorkspace((w) => w.edit);
  const items = design.items;
  const [more, setMore] = useState(false);
  const mu = shownUnit('mass', units), lu = shownUnit('length', units);
  const weighed = (i: number) => <QuantityField label={`Weighed, row ${i + 1}`} hideLabel value={items[i]?.weighed ?? null} kind="mass" hideUnit onCommit={(si) => edit({ type: 'set', path: `${D}.items.${i}.weighed`, value: si })} onClear={() => edit({ type: 'set', path: `${D}.items.${i}.weighed`, value: null })} />;
  const planned = (i: number) => {
    const item = items[i];
    if (!item) return null;
    if (item.planned.kind !== 'mass') return <span className="num" title={item.planned.kind === 'areal' ? `Calculated from ${formatQuantity(item.planned.perArea, 'arealMass', units)} over the surface` : 'Calculated from skin, core and covering'}>{formatValue(plannedItem(item, design).mass, 'mass', units)}</span>;
    return <QuantityField label={`Planned, row ${i + 1}`} hideLabel hideUnit value={item.planned.mass} kind="mass" onCommit={(si) => edit({ type: 'set', path: `${D}.items.${i}.planned`, value: { kind: 'mass', mass: si } })} />;
  };
  const place = (i: number) => (items[i] && items[i].planned.kind !== 'mass' ? <span className="num dim">{formatValue(plannedItem(items[i], design).x, 'length', units)}</span> : <DocField label={`x, row ${i + 1}`} path={`${D}.items.${i}.x`} kind="length" hideLabel hideUnit />);
  const movable = (i: number) => {
    const item = items[i];
    if (!item) return null;
    return <input type="checkbox" aria-label={`${item.name} can move`} checked={item.movable !== null} title={item.movable ? `from ${formatQuantity(item.movable.from, 'length', units)} to ${formatQuantity(item.movable.to, 'length', units)}` : 'fixed'} onChange={(e) => edit({ type: 'set', path: `${D}.items.${i}.movable`, value: e.target.checked ? { from: item.x - 0.05, to: item.x + 0.05 } : null })} />;
  };
  const plan = loadedState(design, { count: 0 }, 'plan', 1).mass, best = loadedState(design, { count: 0 }, 'best', 1).mass;
  return (
    <section className="block"><h2>Mass ledger <span className="right"><label className="dim" style={{ fontSize: '0.75rem' }}><input type="checkbox" checked={more} onChange={(e) => setMore(e.target.checked)} /> groups and heights</label></span></h2>
      <SheetTable path={`${D}.items`} caption="Mass ledger" addLabel="Add an item" newRow={(): Item => ({ id: freshId('item', items), name: 'New item', group: 'other', planned: { kind: 'mass', mass: 0.02 }, basis: 'guess', spread: 0.15, weighed: null, x: 0.3, y: 0, z: 0, inWing: false, movable: null })}
        columns={[
          { key: 'name', label: 'Item', cell: { type: 'text' } },
          ...(more ? [{ key: 'group', label: 'Group', cell: { type: 'choice' as const, options: GROUPS.map((g) => ({ value: g, label: g })) }, width: 92 }] : []),
          { key: 'planned', label: `Planned [${mu}]`, numeric: true, cell: { type: 'shown', render: (_, i) => planned(i), paste: { kind: 'mass', sub: (r) => ((r.planned as Item['planned']).kind === 'mass' ? 'planned.mass' : null) } }, width: 58 },
          { key: 'basis', label: 'Known by', cell: { type: 'choice', options: BASES.map((b) => ({ value: b, label: b })) }, width: 78 },
          { key: 'weighed', label: `Weighed [${mu}]`, numeric: true, cell: { type: 'shown', render: (_, i) => weighed(i), paste: { kind: 'mass', sub: () => 'weighed' } }, width: 58 },
          { key: 'x', label: `x [${lu}]`, numeric: true, cell: { type: 'shown', render: (_, i) => place(i), paste: { kind: 'length', sub: (r) => ((r.planned as Item['planned']).kind === 'mass' ? 'x' : null) } }, width: 52 },
          ...(more ? [{ key: 'z', label: 'z', cell: { type: 'quantity' as const, kind: 'length' as const }, width: 60 }] : []),
          { key: 'move', label: 'Moves', cell: { type: 'shown', render: (_, i) => movable(i) }, width: 44 },
        ]}
        footer={<tr className="sum"><td>Empty</td>{more && <td />}<td className="num">{formatValue(plan, 'mass', units)}</td><td /><td className="num">{formatValue(best, 'mass', units)}</td><td className="num" colSpan={more ? 4 : 3}>{plan > 0 ? `${best >= plan ? '+' : '−'}${Math.abs(100 * (best / plan - 1)).toFixed(1)} %` : ''}</td></tr>} />
      {items.some((i) => i.movable) && <Ranges />}
      <Scale />
    </section>
  );
}

function Ranges() {
  const items = useWorkspace((w) => w.content.document.design.items);
  return (
    <details style={{ marginTop: 6 }}><summary className="dim" style={{ cursor: 'pointer' }}>Ranges of what can move</summary>
      {items.map((item, i) => item.movable && <div key={item.id} style={{ display: 'grid', gridTemplateColumns: '1fr 110px 110px', gap: 10, padding: '4px 0' }}><span>{item.name}</span><DocField label="from" path={`${D}.items.${i}.movable.from`} kind="length" /><DocField label="to" path={`${D}.items.${i}.movable.to`} kind="length" /></div>)}
    </details>
  );
}

function Scale() {
  const scale = useWorkspace((w) => w.content.document.design.scale);
  const loadings = useWorkspace((w) => w.content.document.design.loadings);
  const mass = useWorkspace((w) => (w.ledger ? entryOf(w.ledger, 'mass', w.loading)?.value : undefined));
  return (
    <div style={{ marginTop: 12 }}><h2 className="head">The whole aircraft on the scale</h2>
      {scale.length === 0 && <p className="dim" style={{ margin: '0 0 4px' }}>Weigh it once whole: the sum of the parts is held against it.</p>}
      <SheetTable path={`${D}.scale`} caption="Weighings" addLabel="Add a weighing" newRow={() => ({ id: freshId('weighing', scale), loading: loadings[0].id, mass: mass ?? 1, cgX: null, note: '' })}
        columns={[{ key: 'loading', label: 'In', cell: { type: 'choice', options: loadings.map((l) => ({ value: l.id, label: l.name })) } }, { key: 'mass', label: 'Scale says', cell: { type: 'quantity', kind: 'allUpMass' }, width: 100 }, { key: 'note', label: 'Note', cell: { type: 'text' } }]} />
    </div>
  );
}

function Payload() {
  const loadings = useWorkspace((w) => w.content.document.design.loadings);
  const P = `${D}.payload`;
  return (
    <section className="block"><h2>Payload and loadings</h2>
      <div className="fields" style={{ gridTemplateColumns: 'repeat(3, 1fr)' }}>
        <DocField label="One unit" path={`${P}.unitMass`} kind="mass" /><DocField label="First row, x" path={`${P}.x`} kind="length" /><DocField label="Row spacing" path={`${P}.pitch`} kind="length" /><IntField label="Per row" path={`${P}.perRow`} /><DocField label="Height, z" path={`${P}.z`} kind="length" />
      </div>
      <details style={{ marginTop: 8 }}><summary className="dim" style={{ cursor: 'pointer' }}>{loadings.length} loadings</summary>
        <SheetTable path={`${D}.loadings`} caption="Loadings" least={1} addLabel="Add a loading" newRow={() => ({ id: freshId('loading', loadings), name: 'New loading', count: 1 })}
          columns={[{ key: 'name', label: 'Name', cell: { type: 'text' } }, { key: 'count', label: 'Units', cell: { type: 'quantity', kind: 'count' }, width: 80 }]} />
      </details>
    </section>
  );
}

/** CG of every loading on one axis against the limits and the neutral point. */
function CgBand() {
  const ledger = useWorkspace((w) => w.ledger);
  const loadings = useWorkspace((w) => w.content.document.design.loadings);
  const loading = useWorkspace((w) => w.loading);
  const units = useWorkspace((w) => w.units);
  const setWhy = useWorkspace((w) => w.setWhy);
  if (!ledger || ledger.stopped) return null;
  const at = (id: string, s = 'all') => entryOf(ledger, id, s)!;
  const fwd = at('cgForward').value, aft = at('cgAft'), np = at('neutralPoint');
  const xs = loadings.map((l) => at('cgX', l.id).value);
  const lo = Math.min(fwd, ...xs) - 0.008, hi = Math.max(np.value + np.sigma, ...xs) + 0.008;
  const X = (v: number) => ((v - lo) / (hi - lo)) * 400;
  return (
    <div>
      <svg viewBox="0 0 400 62" width="100%" role="img" aria-label={`Limits ${formatQuantity(fwd, 'length', units)} to ${formatQuantity(aft.value, 'length', units)}, neutral point ${formatQuantity(np.value, 'length', units)}`}>
        <rect x={X(fwd)} width={X(aft.value) - X(fwd)} y={16} height={18} fill="var(--predicted-soft)" />
        <path d={`M ${X(fwd) + 6} 12 H ${X(fwd)} V 38 H ${X(fwd) + 6} M ${X(aft.value) - 6} 12 H ${X(aft.value)} V 38 H ${X(aft.value) - 6}`} fill="none" stroke="var(--asked)" strokeWidth={1.6} />
        <line x1={X(np.value - np.sigma)} x2={X(np.value + np.sigma)} y1={25} y2={25} stroke="var(--ink-2)" strokeWidth={1.2} />
        <circle cx={X(np.value)} cy={25} r={5} fill="var(--paper)" stroke="var(--ink)" strokeWidth={1.5} /><circle cx={X(np.value)} cy={25} r={1.4} fill="var(--ink)" />
        {loadings.map((l, i) => <path key={l.id} d={`M ${X(xs[i])} ${l.id === loading ? 17 : 20} l ${l.id === loading ? 6 : 4} ${l.id === loading ? 8 : 5} l ${l.id === loading ? -6 : -4} ${l.id === loading ? 8 : 5} l ${l.id === loading ? -6 : -4} ${l.id === loading ? -8 : -5} z`} fill={l.id === loading ? 'var(--paper)' : 'none'} stroke="var(--predicted)" strokeWidth={l.id === loading ? 2 : 1} opacity={l.id === loading ? 1 : 0.6}><title>{l.name}</title></path>)}
        <g fontSize={9.5} fill="var(--ink-2)" textAnchor="middle"><text x={X(fwd)} y={52}>{formatQuantity(fwd, 'length', units)}</text><text x={X(aft.value)} y={52}>{formatQuantity(aft.value, 'length', units)}</text><text x={X(np.value)} y={52}>NP ±{formatSpread(np.sigma, 'length', units)}</text></g>
      </svg>
      <button type="button" className="reading" onClick={() => setWhy({ id: 'neutralPoint', state: 'all' })} style={{ border: 0, textAlign: 'center' }}><span className="dim" style={{ fontSize: '0.75rem' }}>why these limits</span></button>
    </div>
  );
}

/** Where must a movable item go? For the wanted margin in the shown loading, and for every loading at once. */
function Where() {
  const design = useWorkspace((w) => w.content.document.design);
  const ledger = useWorkspace((w) => w.ledger);
  const loading = useWorkspace((w) => w.loading);
  const units = useWorkspace((w) => w.units);
  const edit = useWorkspace((w) => w.edit);
  const movable = design.items.filter((i) => i.movable);
  const [item, setItem] = useState(movable.find((i) => i.group === 'battery')?.id ?? movable[0]?.id ?? '');
  const [margin, setMargin] = useState(0.12);
  const np = ledger && entryOf(ledger, 'neutralPoint', 'all')?.value, mac = ledger && entryOf(ledger, 'meanChord', 'all')?.value;
  if (!ledger || np == null || mac == null) return null;
  const chosen = movable.find((i) => i.id === item) ?? movable[0];
  const all = solveBalance(design, { forward: entryOf(ledger, 'cgForward', 'all')!.value, aft: entryOf(ledger, 'cgAft', 'all')!.value });
  if (!chosen) return <p className="dim">Nothing is marked as movable: tick “Moves” for the battery or whatever can shift.</p>;
  const x = placeForCg(design, chosen.id, loading, np - margin * mac);
  const name = design.loadings.find((l) => l.id === loading)?.name;
  const inside = x !== null && x >= chosen.movable!.from && x <= chosen.movable!.to;
  return (
    <section className="block"><h2>Where must it go?</h2>
      <div className="fields">
        <div className="qf"><label htmlFor="move-item">Item</label><select id="move-item" className="cell" value={chosen.id} style={{ width: '100%', border: 0, borderBottom: '1px solid var(--hair)', background: 'transparent', color: 'var(--ink)', padding: '4px 0' }} onChange={(e) => setItem(e.target.value)}>{movable.map((i) => <option key={i.id} value={i.id}>{i.name}</option>)}</select></div>
        <QuantityField label="For a static margin of" value={margin} kind="chordPercent" onCommit={(si) => { setMargin(si); return null; }} />
      </div>
      {x !== null && (
        <div style={{ marginTop: 6 }}>
          {chosen.name} to <b className="num">{formatQuantity(x, 'length', units)}</b> from the nose, {formatQuantity(Math.abs(x - chosen.x), 'length', units)} {x < chosen.x ? 'forward' : 'aft'} of where it is, for {name}.
          {inside ? <Button ml={8} variant="light" onClick={() => edit({ type: 'set', path: `${D}.items.${chosen.id}.x`, value: Math.round(x * 2000) / 2000 })}>Put it there</Button> : <span className="stoptext"> That is outside its range of {formatQuantity(chosen.movable!.from, 'length', units)} to {formatQuantity(chosen.movable!.to, 'length', units)}.</span>}
        </div>
      )}
      <div className="dim" style={{ marginTop: 4 }}>All loadings together: {all.sentence}</div>
    </section>
  );
}
