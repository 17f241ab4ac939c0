'use client';
/** What a lighter battery, another propeller or a longer nose does to every state; and what would be needed. */
import { DESIGN } from '../../parts/paths';
import { Button } from '@mantine/core';
import { entryOf } from '@skiametra/core/assess';
import { itemMass, massForCg, placeForCg, standsWherePut, whatIf } from '@skiametra/core/mass';
import { formatQuantity, formatValue } from '@skiametra/core/units';
import { useState } from 'react';
import { QuantityField } from '../../parts/fields/QuantityField';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { pct } from './saidAs';

/** What a lighter battery, another propeller or a longer nose does to every state; and what would be needed. */
export function WhatIfPanel() {
  const design = useWorkspace((w) => w.content.document.design);
  const ledger = useWorkspace((w) => w.ledger);
  const loading = useWorkspace((w) => w.loading);
  const units = useWorkspace((w) => w.units);
  const edit = useWorkspace((w) => w.edit);
  const swaps = design.items.filter(standsWherePut);
  const [item, setItem] = useState(swaps.find((i) => i.group === 'battery')?.id ?? swaps[0]?.id ?? '');
  const [mass, setMass] = useState<number | null>(null);
  const [nose, setNose] = useState(0);
  const [margin, setMargin] = useState(0.12);
  const chosen = swaps.find((i) => i.id === item);
  const np = ledger && entryOf(ledger, 'neutralPoint', 'all')?.value,
    mac = ledger && entryOf(ledger, 'meanChord', 'all')?.value;
  if (!chosen || np == null || mac == null) return <p className="dim">Enter an item with a mass first.</p>;
  const now = itemMass(chosen, design);
  const rows = whatIf(design, { masses: { [item]: mass ?? now }, longerNose: nose });
  const place = placeForCg(design, item, loading, np - margin * mac),
    need = massForCg(design, item, loading, np - margin * mac);
  const inside =
    chosen.movable && place !== null && place >= chosen.movable.from && place <= chosen.movable.to;
  return (
    <div className="stack gap12">
      <div className="fields" style={{ gridTemplateColumns: '1.4fr 1fr 1fr 1fr' }}>
        <div className="qf">
          <label htmlFor="move-item">Item</label>
          <select
            id="move-item"
            className="cell plaininput"
            value={item}

            onChange={(e) => {
              setItem(e.target.value);
              setMass(null);
            }}
          >
            {swaps.map((i) => (
              <option key={i.id} value={i.id}>
                {i.name}
              </option>
            ))}
          </select>
        </div>
        <QuantityField
          label="weighs"
          value={mass ?? now}
          kind="mass"
          onCommit={(v) => {
            if (!(v >= 0 && v <= 200)) return 'From 0 to 200 kg.';
            setMass(v);
            return null;
          }}
        />
        <QuantityField
          label="nose longer by"
          value={nose}
          kind="length"
          onCommit={(v) => {
            if (!(v >= -0.5 && v <= 1)) return 'From −500 mm to 1 m.';
            setNose(v);
            return null;
          }}
        />
        <QuantityField
          label="For a static margin of"
          value={margin}
          kind="chordPercent"
          onCommit={(v) => {
            setMargin(v);
            return null;
          }}
        />
      </div>
      <div>
        {place !== null && (
          <>
            {chosen.name} to <b className="num">{formatQuantity(place, 'length', units)}</b> from the nose,{' '}
            {formatQuantity(Math.abs(place - chosen.x), 'length', units)}{' '}
            {place < chosen.x ? 'forward' : 'aft'} of where it is, for{' '}
            {design.states.find((l) => l.id === loading)?.name}.{' '}
            {inside ? (
              <Button
                size="compact-xs"
                variant="light"
                onClick={() =>
                  edit({
                    type: 'set',
                    path: `${DESIGN}.items.${item}.x`,
                    value: Math.round(place * 2000) / 2000,
                  })
                }
              >
                Put it there
              </Button>
            ) : chosen.movable ? (
              <span className="stoptext">
                That is outside its range of {formatQuantity(chosen.movable.from, 'length', units)} to{' '}
                {formatQuantity(chosen.movable.to, 'length', units)}.
              </span>
            ) : (
              <span className="dim">It is not marked as movable.</span>
            )}{' '}
          </>
        )}
        {need !== null && (
          <>
            Or left where it is and <b className="num">{formatQuantity(need, 'mass', units)}</b> heavy: a swap
            used as trim weight.
          </>
        )}
      </div>
      <table className="sheet" aria-label="What if">
        <thead>
          <tr>
            <th>State</th>
            <th className="num">Mass</th>
            <th className="num">CG now</th>
            <th className="num">CG then</th>
            <th className="num">Margin then</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => {
            const m = (np - r.x) / mac;
            return (
              <tr key={r.loading}>
                <td>{design.states.find((l) => l.id === r.loading)?.name}</td>
                <td className="num">{formatValue(r.mass, 'allUpMass', units)}</td>
                <td className="num">{formatValue(r.before, 'length', units)}</td>
                <td className="num">{formatValue(r.x, 'length', units)}</td>
                <td
                  className={`num ${m < design.flight.marginMin || m > design.flight.marginMax ? 'stoptext' : ''}`}
                >
                  {pct(m)}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {mass !== null && mass !== now && (
        <Button
          size="xs"
          variant="default"
          className="selfstart"
          onClick={() => {
            edit({ type: 'set', path: `${DESIGN}.items.${item}.planned`, value: { kind: 'mass', mass } });
            setMass(null);
          }}
        >
          Plan it with {formatQuantity(mass, 'mass', units)}
        </Button>
      )}
    </div>
  );
}
