'use client';
/** The mass ledger: items, ranges of what moves, weighings, payload and states. */
import { Button } from '@mantine/core';
import { useState } from 'react';
import { entryOf } from '@skiametra/core/assess';
import { BASES, type Design, type Item } from '@skiametra/core/design';
import { IsPart } from './IsPart';
import {
  aboard,
  cgFromScales,
  loadedState,
  partMass,
  scaleResolution,
  plannedItem,
  standsWherePut,
} from '@skiametra/core/mass';
import { formatQuantity, formatValue, shownUnit, type UnitSystem } from '@skiametra/core/units';
import { DocField, IntField, QuantityField } from '../../parts/QuantityField';
import { SheetTable, freshId } from '../../parts/SheetTable';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

const D = 'document.design';
const GROUPS = ['structure', 'propulsion', 'battery', 'electronics', 'gear', 'other'] as const;

export function MassLedger() {
  const design = useWorkspace((w) => w.content.document.design);
  const units = useWorkspace((w) => w.units);
  const edit = useWorkspace((w) => w.edit);
  const items = design.items;
  const [more, setMore] = useState(false);
  const mu = shownUnit('mass', units),
    lu = shownUnit('length', units);
  const weighed = (i: number) => (
    <QuantityField
      label={`Weighed, row ${i + 1}`}
      hideLabel
      value={items[i]?.weighed ?? null}
      kind="mass"
      hideUnit
      onCommit={(si) => edit({ type: 'set', path: `${D}.items.${i}.weighed`, value: si })}
      onClear={() => edit({ type: 'set', path: `${D}.items.${i}.weighed`, value: null })}
    />
  );
  const planned = (i: number) => {
    const item = items[i];
    if (!item) return null;
    if (item.planned.kind !== 'mass')
      return (
        <span className="num" title={plannedTitle(item, units)}>
          {formatValue(plannedItem(item, design).mass, 'mass', units)}
        </span>
      );
    return (
      <QuantityField
        label={`Planned, row ${i + 1}`}
        hideLabel
        hideUnit
        value={item.planned.mass}
        kind="mass"
        onCommit={(si) =>
          edit({ type: 'set', path: `${D}.items.${i}.planned`, value: { kind: 'mass', mass: si } })
        }
      />
    );
  };
  const place = (i: number) =>
    items[i] && !standsWherePut(items[i]) ? (
      <span className="num dim">{formatValue(plannedItem(items[i], design).x, 'length', units)}</span>
    ) : (
      <DocField label={`x, row ${i + 1}`} path={`${D}.items.${i}.x`} hideLabel hideUnit />
    );
  const movable = (i: number) => {
    const item = items[i];
    if (!item) return null;
    return (
      <input
        type="checkbox"
        aria-label={`${item.name} can move`}
        checked={item.movable !== null}
        title={
          item.movable
            ? `from ${formatQuantity(item.movable.from, 'length', units)} to ${formatQuantity(item.movable.to, 'length', units)}`
            : 'fixed'
        }
        onChange={(e) =>
          edit({
            type: 'set',
            path: `${D}.items.${i}.movable`,
            value: e.target.checked ? { from: item.x - 0.05, to: item.x + 0.05 } : null,
          })
        }
      />
    );
  };
  const plan = loadedState(design, { count: 0 }, 'plan', 1).mass,
    weighedNow = weighedSum(design);
  return (
    <section className="block">
      <h2>
        Mass ledger{' '}
        <span className="right">
          <label className="dim small">
            <input type="checkbox" checked={more} onChange={(e) => setMore(e.target.checked)} /> groups,
            sides, heights
          </label>
        </span>
      </h2>
      <SheetTable
        path={`${D}.items`}
        caption="Mass ledger"
        addLabel="Add an item"
        newRow={(): Item => ({
          id: freshId('item', items),
          name: 'New item',
          group: 'other',
          planned: { kind: 'mass', mass: 0.02 },
          basis: 'guess',
          spread: 0.15,
          weighed: null,
          x: 0.3,
          y: 0,
          z: 0,
          inWing: false,
          movable: null,
        })}
        columns={[
          { key: 'name', label: 'Item', cell: { type: 'text' }, ...(more ? { width: 128 } : {}) },
          ...(more
            ? [
                {
                  key: 'part',
                  label: 'Is the',
                  cell: { type: 'shown' as const, render: (_: unknown, i: number) => <IsPart index={i} /> },
                  width: 88,
                },
                {
                  key: 'group',
                  label: 'Group',
                  cell: { type: 'choice' as const, options: GROUPS.map((g) => ({ value: g, label: g })) },
                  width: 92,
                },
              ]
            : []),
          {
            key: 'planned',
            label: `Planned [${mu}]`,
            numeric: true,
            cell: {
              type: 'shown',
              render: (_, i) => planned(i),
              paste: {
                kind: 'mass',
                sub: (r) => ((r.planned as Item['planned']).kind === 'mass' ? 'planned.mass' : null),
              },
            },
            width: 58,
          },
          ...(more
            ? [
                {
                  key: 'how',
                  label: 'Mass from',
                  cell: { type: 'shown' as const, render: (_: unknown, i: number) => <MassFrom index={i} /> },
                  width: 80,
                },
              ]
            : []),
          {
            key: 'basis',
            label: 'Known by',
            cell: { type: 'choice', options: BASES.map((b) => ({ value: b, label: b })) },
            width: 78,
          },
          {
            key: 'weighed',
            label: `Weighed [${mu}]`,
            numeric: true,
            cell: {
              type: 'shown',
              render: (_, i) => weighed(i),
              paste: { kind: 'mass', sub: () => 'weighed' },
            },
            width: 58,
          },
          {
            key: 'x',
            label: `x [${lu}]`,
            numeric: true,
            cell: {
              type: 'shown',
              render: (_, i) => place(i),
              paste: {
                kind: 'length',
                sub: (r) => (standsWherePut(r as unknown as Item) ? 'x' : null),
              },
            },
            width: 52,
          },
          ...(more
            ? [
                {
                  key: 'y',
                  label: 'y',
                  cell: { type: 'quantity' as const, kind: 'length' as const },
                  width: 60,
                },
                {
                  key: 'z',
                  label: 'z',
                  cell: { type: 'quantity' as const, kind: 'length' as const },
                  width: 60,
                },
                {
                  key: 'inWing',
                  label: 'In wing',
                  cell: { type: 'shown' as const, render: (_: unknown, i: number) => <InWing index={i} /> },
                  width: 50,
                },
              ]
            : []),
          { key: 'move', label: 'Moves', cell: { type: 'shown', render: (_, i) => movable(i) }, width: 44 },
        ]}
        footer={
          <tr className="sum">
            <td>Empty</td>
            {more && <td colSpan={2} />}
            <td className="num">{formatValue(plan, 'mass', units)}</td>
            {more && <td />}
            <td />
            <td className="num">
              {weighedNow.count > 0 ? formatValue(weighedNow.mass, 'mass', units) : '–'}
            </td>
            <td className="num" colSpan={more ? 6 : 3}>
              {weighedSentence(weighedNow)}
            </td>
          </tr>
        }
      />
      {items.some((i) => i.planned.kind === 'made') && <MadeOf />}
      {items.some((i) => i.movable) && <Ranges />}
      <Scale />
    </section>
  );
}

/** Half of it in each wing: it relieves the spar and counts in roll. */
function InWing({ index }: { index: number }) {
  const item = useWorkspace((w) => w.content.document.design.items[index]);
  const edit = useWorkspace((w) => w.edit);
  if (!item) return null;
  return (
    <input
      type="checkbox"
      aria-label={`${item.name} lies in the wing`}
      title="Half of it in each wing: relieves the spar, counts in roll"
      checked={item.inWing}
      onChange={(e) => edit({ type: 'set', path: `${D}.items.${index}.inWing`, value: e.target.checked })}
    />
  );
}

function Ranges() {
  const items = useWorkspace((w) => w.content.document.design.items);
  return (
    <details className="mt8">
      <summary className="dim clickable">Ranges of what can move</summary>
      {items.map(
        (item, i) =>
          item.movable && (
            <div
              key={item.id}
              style={{ display: 'grid', gridTemplateColumns: '1fr 110px 110px', gap: 10, padding: '4px 0' }}
            >
              <span>{item.name}</span>
              <DocField label="from" path={`${D}.items.${i}.movable.from`} />
              <DocField label="to" path={`${D}.items.${i}.movable.to`} />
            </div>
          ),
      )}
    </details>
  );
}

/** What the builder's scale reads to: figures and ballast follow it. */
function Resolution({ mass }: { mass: number }) {
  const design = useWorkspace((w) => w.content.document.design);
  const edit = useWorkspace((w) => w.edit);
  const none = { longestPiece: null, printer: null, sheet: null };
  return (
    <div className="atmost200">
      <QuantityField
        label="It reads to"
        value={scaleResolution(design, mass)}
        kind="mass"
        onCommit={(si) =>
          si > 0
            ? edit({ type: 'set', path: `${D}.limits`, value: { ...none, ...design.limits, scale: si } })
            : 'must be above zero'
        }
      />
    </div>
  );
}

function Scale() {
  const scale = useWorkspace((w) => w.content.document.design.scale);
  const states = useWorkspace((w) => w.content.document.design.states);
  const mass = useWorkspace((w) => (w.ledger ? entryOf(w.ledger, 'mass', w.loading)?.value : undefined));
  return (
    <div className="mt12">
      <h2 className="head">The whole aircraft on the scale</h2>
      <Resolution mass={mass ?? 1} />
      {scale.length === 0 && (
        <p className="dim below4">Weigh it once whole: the sum of the parts is held against it.</p>
      )}
      <SheetTable
        path={`${D}.scale`}
        caption="Weighings"
        addLabel="Add a weighing"
        newRow={() => ({
          id: freshId('weighing', scale),
          loading: states[0].id,
          mass: mass ?? 1,
          cgX: null,
          note: '',
        })}
        columns={[
          {
            key: 'state',
            label: 'In',
            cell: { type: 'choice', options: states.map((l) => ({ value: l.id, label: l.name })) },
          },
          { key: 'mass', label: 'Scale says', cell: { type: 'quantity' }, width: 100 },
          { key: 'note', label: 'Note', cell: { type: 'text' } },
        ]}
      />
      {scale.map((w, i) => (
        <ScaleReadings key={w.id} index={i} />
      ))}
    </div>
  );
}

export function Payload() {
  const states = useWorkspace((w) => w.content.document.design.states);
  const P = `${D}.payload`;
  return (
    <section className="block">
      <h2>Payload and states</h2>
      <div className="fields three">
        <DocField label="One unit" path={`${P}.unitMass`} />
        <DocField label="First row, x" path={`${P}.x`} />
        <DocField label="Row spacing" path={`${P}.pitch`} />
        <IntField label="Per row" path={`${P}.perRow`} />
        <DocField label="Height, z" path={`${P}.z`} />
      </div>
      <details className="mt8">
        <summary className="dim clickable">{states.length} states</summary>
        <SheetTable
          path={`${D}.states`}
          caption="States"
          least={1}
          addLabel="Add a state"
          newRow={() => ({ id: freshId('state', states), name: 'New state', count: 1 })}
          columns={[
            { key: 'name', label: 'Name', cell: { type: 'text' } },
            { key: 'count', label: 'Units', cell: { type: 'quantity' }, width: 80 },
          ]}
        />
      </details>
    </section>
  );
}

/** CG of a weighing from two or three scales under known points. */
function ScaleReadings({ index }: { index: number }) {
  const w = useWorkspace((q) => q.content.document.design.scale[index]);
  const units = useWorkspace((q) => q.units);
  const edit = useWorkspace((q) => q.edit);
  const P = `${D}.scale.${index}`;
  if (!w) return null;
  if (!w.readings)
    return (
      <Button
        size="compact-xs"
        variant="subtle"
        onClick={() =>
          edit({
            type: 'set',
            path: `${P}.readings`,
            value: [
              { x: 0.335, y: 0, mass: w.mass * 0.9 },
              { x: 1.2, y: 0, mass: w.mass * 0.1 },
            ],
          })
        }
      >
        row {index + 1}: it stood on two or three scales
      </Button>
    );
  const cg = cgFromScales(w.readings);
  return (
    <div>
      <SheetTable
        path={`${P}.readings`}
        caption={`Scale readings of weighing ${index + 1}`}
        columns={[
          { key: 'x', label: 'Scale under x', cell: { type: 'quantity' } },
          { key: 'y', label: 'y', cell: { type: 'quantity' } },
          { key: 'mass', label: 'Reads', cell: { type: 'quantity' } },
        ]}
      />
      {cg && (
        <div>
          CG at <b className="num">{formatQuantity(cg.x, 'length', units)}</b> from the nose,{' '}
          {formatQuantity(Math.abs(cg.y), 'length', units)} to the {cg.y >= 0 ? 'right' : 'left'}; together{' '}
          {formatQuantity(cg.mass, 'allUpMass', units)}.{' '}
          <Button
            size="compact-xs"
            variant="light"
            onClick={() =>
              edit({
                type: 'apply',
                changes: [
                  { path: `${P}.mass`, value: cg.mass },
                  { path: `${P}.cgX`, value: cg.x },
                ],
              })
            }
          >
            Take it over
          </Button>
        </div>
      )}
    </div>
  );
}

/** What is weighed, summed, beside what was planned for those lines alone. */
function weighedSum(design: Design): { count: number; of: number; mass: number; planned: number } {
  const done = design.items.filter((i) => i.weighed !== null && aboard(design, i));
  return {
    count: done.length,
    of: design.items.length,
    mass: done.reduce((s, i) => s + i.weighed!, 0),
    planned: done.reduce((s, i) => s + plannedItem(i, design).mass, 0),
  };
}

/** How far what was weighed is off its plan; nothing is claimed of what was not. */
function weighedSentence({ count, of, mass, planned }: ReturnType<typeof weighedSum>): string {
  if (count === 0) return 'none yet';
  const off = planned > 0 ? 100 * (mass / planned - 1) : 0;
  const lines = count < of ? `${count} of ${of}: ` : '';
  return planned > 0 ? `${lines}${off >= 0 ? '+' : '−'}${Math.abs(off).toFixed(1)} %` : lines;
}

/** Where a calculated mass comes from, for whoever points at it. */
function plannedTitle(item: Item, units: UnitSystem): string {
  const { planned } = item;
  if (planned.kind === 'areal')
    return `Calculated from ${formatQuantity(planned.perArea, 'arealMass', units)} over the surface`;
  if (planned.kind !== 'part') return 'Calculated from skin, core and covering';
  const share = `${Math.round(planned.factor * 100)} % of the usual`;
  return `Follows the ${item.part?.kind ?? 'part'}: ${share}. A reading of the scale stands over it.`;
}

/** How a planned mass is found: typed, by the part it is, by area of a surface, or from what a part is made of. */
function MassFrom({ index }: { index: number }) {
  const item = useWorkspace((w) => w.content.document.design.items[index]);
  const surfaces = useWorkspace((w) => w.content.document.design.surfaces);
  const design = useWorkspace((w) => w.content.document.design);
  const edit = useWorkspace((w) => w.edit);
  if (!item) return null;
  const value =
    item.planned.kind === 'mass'
      ? 'mass'
      : item.planned.kind === 'part'
        ? 'part'
        : item.planned.kind === 'areal'
          ? `areal:${item.planned.surface}`
          : `made:${item.planned.part}`;
  const usual = item.part ? partMass(design, item.part) : null;
  const now = plannedItem(item, design);
  const set = (v: string) => {
    const [kind, part] = v.split(':');
    // what it weighed and where it stood stays: only the way it is found changes
    const typed = { kind, mass: Math.round(now.mass * 1e5) / 1e5 };
    const planned =
      kind === 'mass'
        ? typed
        : kind === 'part'
          ? { kind, factor: usual && now.mass > 0 ? now.mass / usual : 1 }
          : kind === 'areal'
            ? { kind, surface: part, perArea: 1 }
            : {
                kind,
                part,
                skin: { thickness: 0.0008, density: 1240 },
                core: { density: 1240, infill: 0.03 },
                covering: null,
              };
    const x = Math.round(now.x * 1e4) / 1e4,
      z = Math.round(now.z * 1e4) / 1e4;
    edit({ type: 'set', path: `${D}.items.${index}`, value: { ...item, planned, x, z } });
  };
  return (
    <select
      className="cell"
      aria-label={`Where the planned mass of row ${index + 1} comes from`}
      value={value}
      onChange={(e) => set(e.target.value)}
    >
      <option value="mass">typed</option>
      {usual !== null && <option value="part">follows the {item.part!.kind}</option>}
      {surfaces.map((s) => (
        <option key={`a${s.id}`} value={`areal:${s.id}`}>
          {s.name}, by area
        </option>
      ))}
      {[...surfaces.map((s) => ({ id: s.id, name: s.name })), { id: 'body', name: 'Body' }].map((s) => (
        <option key={`m${s.id}`} value={`made:${s.id}`}>
          {s.name}, skin and core
        </option>
      ))}
    </select>
  );
}

/** Skin, core and covering of the parts whose mass is calculated. */
function MadeOf() {
  const items = useWorkspace((w) => w.content.document.design.items);
  const edit = useWorkspace((w) => w.edit);
  return (
    <details open className="mt8">
      <summary className="dim clickable">What calculated parts are made of</summary>
      {items.map(
        (item, i) =>
          item.planned.kind === 'made' && (
            <div
              key={item.id}
              style={{
                display: 'grid',
                gridTemplateColumns: '1fr repeat(5, 84px)',
                gap: 8,
                padding: '4px 0',
                alignItems: 'end',
              }}
            >
              <span>{item.name}</span>
              {item.planned.skin && (
                <>
                  <DocField label="skin" path={`${D}.items.${i}.planned.skin.thickness`} />
                  <DocField label="of density" path={`${D}.items.${i}.planned.skin.density`} />
                </>
              )}
              {item.planned.core && (
                <>
                  <DocField label="core density" path={`${D}.items.${i}.planned.core.density`} />
                  <DocField label="infill" path={`${D}.items.${i}.planned.core.infill`} />
                </>
              )}
              {item.planned.covering ? (
                <DocField label="covering" path={`${D}.items.${i}.planned.covering.perArea`} />
              ) : (
                <Button
                  size="compact-xs"
                  variant="subtle"
                  onClick={() =>
                    edit({ type: 'set', path: `${D}.items.${i}.planned.covering`, value: { perArea: 0.06 } })
                  }
                >
                  + covering
                </Button>
              )}
            </div>
          ),
      )}
    </details>
  );
}
