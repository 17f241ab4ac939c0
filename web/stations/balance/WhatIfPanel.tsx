'use client';
/** What a lighter battery, another propeller or a longer nose does to every state; and what would be needed. */
import { DESIGN } from '../../parts/paths';
import { Button, NativeSelect } from '@mantine/core';
import { entryOf } from '@skiametra/core/assess';
import { itemMass, massForCg, placeForCg, standsWherePut, whatIf } from '@skiametra/core/mass';
import { formatQuantity, formatValue } from '@skiametra/core/units';
import { useState } from 'react';
import { QuantityField } from '../../parts/fields/QuantityField';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { ShownTable, type ShownColumn } from '../../parts/table';
import type { Item } from '@skiametra/core/design';

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
  return (
    <div className="stack gap12">
      <div className="fields four">
        <NativeSelect
          label="Item"
          value={item}
          data={swaps.map((i) => ({ value: i.id, label: i.name }))}
          onChange={(e) => {
            setItem(e.currentTarget.value);
            setMass(null);
          }}
        />
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
        {place !== null && <PlaceWords item={chosen} place={place} />}{' '}
        {need !== null && (
          <>
            Or left where it is and <b className="num">{formatQuantity(need, 'mass', units)}</b> heavy: a swap
            used as trim weight.
          </>
        )}
      </div>
      <WhatIfTable rows={rows} margin={(x) => (np - x) / mac} />
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

/** Where an item has to go, and whether it can. */
function PlaceWords({ item, place }: { item: Item; place: number }) {
  const units = useWorkspace((w) => w.units);
  const edit = useWorkspace((w) => w.edit);
  const state = useWorkspace((w) => w.content.document.design.states.find((l) => l.id === w.loading)?.name);
  const said = (x: number) => formatQuantity(x, 'length', units);
  const { movable } = item;
  const put = () =>
    edit({
      type: 'set',
      path: `${DESIGN}.items.${item.id}.x`,
      value: Math.round(place / HALF_MILLIMETRE) * HALF_MILLIMETRE,
    });
  return (
    <>
      {item.name} to <b className="num">{said(place)}</b> from the nose, {said(Math.abs(place - item.x))}{' '}
      {place < item.x ? 'forward' : 'aft'} of where it is, for {state}.{' '}
      {!movable && <span className="dim">It is not marked as movable.</span>}
      {movable && place >= movable.from && place <= movable.to && (
        <Button size="compact-xs" variant="light" onClick={put}>
          Put it there
        </Button>
      )}
      {movable && !(place >= movable.from && place <= movable.to) && (
        <span className="stoptext">
          That is outside its range of {said(movable.from)} to {said(movable.to)}.
        </span>
      )}
    </>
  );
}
/** No nearer is a battery put by hand [m]. */
const HALF_MILLIMETRE = 0.0005;

type Row = ReturnType<typeof whatIf>[number];

function WhatIfTable({ rows, margin }: { rows: Row[]; margin: (x: number) => number }) {
  const { states, flight } = useWorkspace((w) => w.content.document.design);
  const units = useWorkspace((w) => w.units);
  const allowed = (m: number) => m >= flight.marginMin && m <= flight.marginMax;
  const columns: ShownColumn<Row>[] = [
    {
      key: 'name',
      label: 'State',
      fixed: true,
      value: (r) => states.find((l) => l.id === r.loading)?.name ?? null,
    },
    { key: 'mass', label: 'Mass', kind: 'allUpMass', value: (r) => r.mass },
    { key: 'now', label: 'CG now', kind: 'length', value: (r) => r.before },
    { key: 'then', label: 'CG then', kind: 'length', value: (r) => r.x },
    {
      key: 'margin',
      label: 'Margin then',
      kind: 'percent',
      value: (r) => margin(r.x),
      render: (r) => (
        <span className={allowed(margin(r.x)) ? undefined : 'stoptext'}>
          {formatValue(margin(r.x), 'percent', units)}
        </span>
      ),
    },
  ];
  return <ShownTable name="What if" rows={rows} rowKey={(r) => r.loading} columns={columns} />;
}
