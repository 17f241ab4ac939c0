'use client';
/** States, growth, what-if, and the checks of ground, fit, hover and built shape. */
import { Sentence } from '../../parts/Sentence';
import { Button, Checkbox, NativeSelect } from '@mantine/core';
import { useState } from 'react';
import { entryOf } from '@skiametra/core/assess';
import { type GrowthReport, type LayoutReport } from '@skiametra/core/views';
import {
  LEAVING,
  LEAVING_WORDS,
  RETURNING,
  RETURNING_WORDS,
  leavingOf,
  returningOf,
} from '@skiametra/core/design';
import { itemMass, massForCg, placeForCg, standsWherePut, whatIf } from '@skiametra/core/mass';
import { formatQuantity, formatValue } from '@skiametra/core/units';
import { ChartFrame } from '../../parts/ChartFrame';
import { DocField, QuantityField } from '../../parts/QuantityField';
import { SheetTable } from '../../parts/SheetTable';
import { Cautions } from '../../parts/Cautions';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { askCore } from '../../workers/coreClient';

const D = 'document.design';
const deg = (r: number, n = 1) => `${((r * 180) / Math.PI).toFixed(n)}°`;
const pct = (v: number, n = 1) => `${(100 * v).toFixed(n)} %`;

export function StatesPanel({ report }: { report: LayoutReport }) {
  const units = useWorkspace((w) => w.units);
  const states = useWorkspace((w) => w.content.document.design.states);
  const items = useWorkspace((w) => w.content.document.design.items);
  const design = useWorkspace((w) => w.content.document.design);
  const loading = useWorkspace((w) => w.loading);
  const setLoading = useWorkspace((w) => w.setLoading);
  const edit = useWorkspace((w) => w.edit);
  const i = states.findIndex((l) => l.id === loading),
    now = states[i];
  const P = `${D}.states.${i}`;
  const set = (key: string, value: unknown) => {
    const next = { ...now, [key]: value };
    if (value === undefined) delete (next as Record<string, unknown>)[key];
    edit({ type: 'set', path: P, value: next });
  };
  return (
    <div className="stack gap12">
      <Cautions at="states" />
      {report.worst && (
        <div>
          <b>
            <Sentence of={report.worst.said} />
          </b>
        </div>
      )}
      <div className="scrollx">
        <table className="sheet" aria-label="Every state">
          <thead>
            <tr>
              <th>State</th>
              <th className="num">Mass</th>
              <th className="num">CG</th>
              <th className="num">±</th>
              <th className="num">Margin</th>
              <th className="num">Cnβ</th>
              <th className="num">Ixx</th>
              <th className="num">Iyy</th>
              <th className="num">Izz [kg·m²]</th>
              <th className="num">Added drag</th>
            </tr>
          </thead>
          <tbody>
            {report.states.map((s) => (
              <tr
                key={s.loading}
                className={`clickable ${s.loading === loading ? 'chosen' : ''}`}
                onClick={() => setLoading(s.loading)}
              >
                <td>
                  {s.name}
                  {s.hover ? ' (hover)' : ''}
                </td>
                <td className="num">{formatValue(s.mass, 'allUpMass', units)}</td>
                <td className="num">{formatValue(s.cgX, 'length', units)}</td>
                <td className="num">{formatValue(s.cgSpread, 'length', units)}</td>
                <td className={`num ${s.inside ? '' : 'stoptext'}`}>{s.hover ? '–' : pct(s.margin)}</td>
                <td className="num">{s.hover ? '–' : s.yaw.toFixed(3)}</td>
                <td className="num">{s.ixx.toFixed(3)}</td>
                <td className="num">{s.iyy.toFixed(3)}</td>
                <td className="num">{s.izz.toFixed(3)}</td>
                <td className="num">{s.extraDrag ? formatValue(s.extraDrag, 'dragArea', units) : '–'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <section className="block">
        <h2>What is different in {now.name}</h2>
        <div className="fields three">
          <DocField label="Added drag area" path={`${P}.addedDrag`} />
          <Checkbox
            size="xs"
            mt={18}
            label="hovers on its rotors"
            checked={now.hover ?? false}
            onChange={(e) => set('hover', e.currentTarget.checked || undefined)}
          />
          <NativeSelect
            size="xs"
            label="Leaves by"
            value={leavingOf(design, now)}
            onChange={(e) => set('leaving', e.currentTarget.value)}
            data={LEAVING.map((k) => ({ value: k, label: LEAVING_WORDS[k] }))}
          />
          <NativeSelect
            size="xs"
            label="Comes back by"
            value={returningOf(design, now)}
            onChange={(e) => set('returning', e.currentTarget.value)}
            data={RETURNING.map((k) => ({ value: k, label: RETURNING_WORDS[k] }))}
          />
          <NativeSelect
            size="xs"
            label="Units leave"
            value={now.leaves ?? 'outer first'}
            onChange={(e) => set('leaves', e.currentTarget.value)}
            data={['outer first', 'front first', 'rear first']}
          />
        </div>
        <p className="dim">
          A run or a dolly is held against the strip, rotors against lift thrust. The other ways of leaving,
          and every way of coming back, are kept and say nothing yet.
        </p>
        <div className="line gap8 wraps around8">
          {!now.towed && (
            <Button
              size="compact-xs"
              variant="default"
              onClick={() =>
                set('towed', {
                  mass: 0.3,
                  dragArea: 0.004,
                  line: 5,
                  lineDiameter: 0.001,
                  x: report.cg.x,
                  z: -0.05,
                })
              }
            >
              Tow something
            </Button>
          )}
          {!now.sideArea && (
            <Button
              size="compact-xs"
              variant="default"
              onClick={() => set('sideArea', { area: 0.01, x: report.cg.x - 0.1, z: 0 })}
            >
              Side area appears
            </Button>
          )}
          {!now.moved && items.length > 0 && (
            <Button
              size="compact-xs"
              variant="default"
              onClick={() => set('moved', [{ item: items[0].id, x: items[0].x }])}
            >
              An item sits elsewhere
            </Button>
          )}
          {(now.towed || now.sideArea || now.moved || now.absent) && (
            <Button
              size="compact-xs"
              variant="subtle"
              onClick={() => {
                const { towed: _t, sideArea: _s, moved: _m, absent: _a, ...rest } = now;
                edit({ type: 'set', path: P, value: rest });
              }}
            >
              As the plain aircraft again
            </Button>
          )}
        </div>
        {now.towed && (
          <div className="fields four">
            <DocField label="Towed mass" path={`${P}.towed.mass`} />
            <DocField label="Its drag area" path={`${P}.towed.dragArea`} />
            <DocField label="Line" path={`${P}.towed.line`} />
            <DocField label="Line across" path={`${P}.towed.lineDiameter`} />
          </div>
        )}
        {report.tow && (
          <div>
            On the line: pulls {formatQuantity(report.tow.drag, 'force', units)} back and{' '}
            {formatQuantity(report.tow.weight, 'force', units)} down; hangs{' '}
            {formatQuantity(report.tow.below, 'distance', units)} below and{' '}
            {formatQuantity(report.tow.behind, 'distance', units)} behind, the line {deg(report.tow.angle, 0)}{' '}
            below the horizontal at the hook.
          </div>
        )}
        {now.sideArea && (
          <div className="fields three">
            <DocField label="Side area" path={`${P}.sideArea.area`} />
            <DocField label="at x" path={`${P}.sideArea.x`} />
          </div>
        )}
        {now.moved && (
          <SheetTable
            path={`${P}.moved`}
            caption="Items that sit elsewhere"
            addLabel="Another item"
            newRow={() => ({ item: items[0].id, x: items[0].x })}
            columns={[
              {
                key: 'item',
                label: 'Item',
                cell: { type: 'choice', options: items.map((q) => ({ value: q.id, label: q.name })) },
              },
              { key: 'x', label: 'x', cell: { type: 'quantity' } },
            ]}
          />
        )}
        <details>
          <summary className="dim clickable">
            Not aboard in this state{now.absent?.length ? ` (${now.absent.length})` : ''}
          </summary>
          <div className="columns3 note">
            {items.map((q) => (
              <label key={q.id} className="asblock">
                <input
                  type="checkbox"
                  checked={now.absent?.includes(q.id) ?? false}
                  onChange={(e) => {
                    const list = e.target.checked
                      ? [...(now.absent ?? []), q.id]
                      : (now.absent ?? []).filter((a) => a !== q.id);
                    set('absent', list.length ? list : undefined);
                  }}
                />{' '}
                {q.name}
              </label>
            ))}
          </div>
        </details>
      </section>
      {report.path.length > 1 && (
        <ChartFrame
          title="The CG while the load leaves"
          height={150}
          xName="Units left aboard"
          xKind="count"
          yName="CG from the nose"
          yKind="length"
          series={[
            {
              name: 'CG',
              x: report.path.map((p) => p.count),
              y: report.path.map((p) => p.x),
              look: 'predicted',
            },
          ]}
        />
      )}
    </div>
  );
}

export function GrowthPanel() {
  const document = useWorkspace((w) => w.content.document);
  const units = useWorkspace((w) => w.units);
  const [found, setFound] = useState<{ of: unknown; g: GrowthReport } | null>(null);
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const run = async () => {
    setBusy(true);
    setTrouble(null);
    try {
      setFound({ of: document, g: await askCore<'growth'>({ task: 'growth', document }) });
    } catch (e) {
      setTrouble(e instanceof Error ? e.message : String(e));
    } finally {
      setBusy(false);
    }
  };
  const g = found?.g;
  return (
    <div className="stack gap12">
      <div>
        <Button size="xs" variant="light" loading={busy} onClick={() => void run()}>
          {g ? 'Grow it again' : 'Let it grow'}
        </Button>{' '}
        <span className="dim note">
          Holds weighed parts against the plan, carries the growth over to the rest, and asks which
          requirement goes first.
        </span>
      </div>
      {trouble && (
        <p className="stoptext" role="alert">
          {trouble}
        </p>
      )}
      {g && found.of !== document && <div className="dim">For the aircraft before your last change.</div>}
      {g && (
        <>
          <div>
            {g.growth.factor === null ? (
              'Nothing is weighed yet: no growth is claimed. Weigh the first parts as they are made.'
            ) : (
              <>
                What was weighed came out at <b className="num">{g.growth.factor.toFixed(2)}</b> of the plan;
                carried over, the empty aircraft will weigh{' '}
                <b className="num">
                  {formatQuantity(g.growth.forecast, 'allUpMass', units)} ±{' '}
                  {formatValue(g.growth.sigma, 'allUpMass', units)}
                </b>{' '}
                (planned {formatQuantity(g.growth.planned, 'allUpMass', units)}).
              </>
            )}
          </div>
          {g.breaks.length > 0 ? (
            <div className="finding look">
              <span className="sev" aria-hidden="true">
                !
              </span>
              <div>
                <b>
                  First to break: at {formatQuantity(g.breaks[0].emptyMass, 'allUpMass', units)} empty (
                  {((g.breaks[0].factor - 1) * 100).toFixed(0)} % more than now).
                </b>{' '}
                <Sentence of={g.breaks[0].said} />
                {g.breaks.slice(1, 3).map((b) => (
                  <div key={b.requirement} className="dim">
                    Then at {formatQuantity(b.emptyMass, 'allUpMass', units)}: <Sentence of={b.said} />
                  </div>
                ))}
              </div>
            </div>
          ) : (
            <div>No requirement that is met now breaks up to 70 % growth.</div>
          )}
          <ChartFrame
            title="Requirements missed as it grows"
            height={160}
            xName="Empty mass"
            xKind="allUpMass"
            yName="Missed"
            yKind="count"
            yFromZero
            series={[
              {
                name: 'missed',
                x: g.curve.map((c) => c.emptyMass),
                y: g.curve.map((c) => c.missed),
                look: 'ink',
                joined: true,
              },
              {
                name: 'now',
                x: [g.now, g.now],
                y: [0, Math.max(1, ...g.curve.map((c) => c.missed))],
                look: 'predicted',
              },
              ...(g.growth.factor !== null
                ? [
                    {
                      name: 'forecast',
                      x: [g.growth.forecast, g.growth.forecast],
                      y: [0, Math.max(1, ...g.curve.map((c) => c.missed))],
                      look: 'measured' as const,
                    },
                  ]
                : []),
            ]}
          />
          <table className="sheet" aria-label="Growth by group">
            <thead>
              <tr>
                <th>Group</th>
                <th className="num">Planned</th>
                <th className="num">Weighed of it</th>
                <th className="num">Growth</th>
                <th className="num">Forecast</th>
              </tr>
            </thead>
            <tbody>
              {g.growth.groups.map((r) => (
                <tr key={r.group}>
                  <td>{r.group}</td>
                  <td className="num">{formatValue(r.planned, 'mass', units)}</td>
                  <td className="num">{r.weighed ? formatValue(r.weighed, 'mass', units) : '–'}</td>
                  <td className="num">{r.factor === null ? '–' : r.factor.toFixed(2)}</td>
                  <td className="num">{formatValue(r.forecast, 'mass', units)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
    </div>
  );
}

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
                  edit({ type: 'set', path: `${D}.items.${item}.x`, value: Math.round(place * 2000) / 2000 })
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
            edit({ type: 'set', path: `${D}.items.${item}.planned`, value: { kind: 'mass', mass } });
            setMass(null);
          }}
        >
          Plan it with {formatQuantity(mass, 'mass', units)}
        </Button>
      )}
    </div>
  );
}

export function ChecksPanel({ report }: { report: LayoutReport }) {
  const design = useWorkspace((w) => w.content.document.design);
  const units = useWorkspace((w) => w.units);
  const edit = useWorkspace((w) => w.edit);
  const mm = (v: number) =>
    formatQuantity(Math.round(v * 1000) / 1000, 'length', units).replace(/\.0+(?= )/, '');
  const { ground: g, hover: h, warp } = report;
  const wing = design.surfaces.find((s) => s.role === 'wing')!,
    tip = wing.stations[wing.stations.length - 1];
  return (
    <div className="stack gap12">
      <section className="block">
        <h2>On the ground</h2>
        {!g ? (
          <p className="dim flush">Enter wheels or skids under Shape, Body.</p>
        ) : (
          <>
            <div>
              {g.kind === 'skid' ? 'Stands on its main wheels only' : `Stands on a ${g.kind}`}: track{' '}
              {mm(g.track)}
              {g.propellerClearance !== null && (
                <>
                  , propeller clears the ground by <b className="num">{mm(g.propellerClearance)}</b>
                </>
              )}
              ; overturn angle {deg(g.overturn, 0)}; CG {deg(Math.abs(g.tipBack), 0)}{' '}
              {g.kind === 'tail wheel' ? 'behind' : 'ahead of'} the main wheels; rotates{' '}
              {deg(g.tailStrike, 0)} until {g.strikes} touches
              {g.kind !== 'skid' ? `; ${pct(g.endLoad, 0)} of the weight on the ${g.kind}` : ''}.
            </div>
            {report.inGround && (
              <div className="dim note">
                Rolling, the wing stands {pct(report.inGround.height, 0)} of its span above the ground: lift
                slope ×{report.inGround.slope.toFixed(2)}, induced drag ×{report.inGround.induced.toFixed(2)}.
                The ground run is computed without it.
              </div>
            )}
            {report.groundRemarks.map((r) => (
              <div key={r.said.code} className={r.severity === 'stop' ? 'stoptext' : 'looktext'}>
                ▲ <Sentence of={r.said} />
              </div>
            ))}
          </>
        )}
      </section>
      <section className="block">
        <h2>Inside the body</h2>
        {report.fit.length === 0 ? (
          <p className="dim flush">Give the battery and what else must fit its size: </p>
        ) : (
          <table className="sheet" aria-label="Fit">
            <thead>
              <tr>
                <th>Item</th>
                <th>Fits</th>
                <th className="num">May travel</th>
                <th>Runs into</th>
              </tr>
            </thead>
            <tbody>
              {report.fit.map((f) => (
                <tr key={f.item}>
                  <td>{f.name}</td>
                  <td className={f.inside ? '' : 'stoptext'}>
                    {f.inside ? `yes, ${pct(f.room, 0)} to spare` : '✕ sticks out'}
                  </td>
                  <td className="num">
                    {f.travel ? `${mm(f.travel.from)} to ${mm(f.travel.to)}` : 'nowhere'}
                    {f.blocked ? ' ▲ less than its range' : ''}
                  </td>
                  <td className={f.meets.length ? 'stoptext' : ''}>{f.meets.join(', ') || '–'}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        <details>
          <summary className="dim clickable">Sizes</summary>
          {design.items
            .filter((i) => !i.inWing && standsWherePut(i))
            .map((i) =>
              i.box ? (
                <div
                  key={i.id}
                  style={{ display: 'grid', gridTemplateColumns: '1fr 80px 80px 80px', gap: 8 }}
                >
                  <span>{i.name}</span>
                  <DocField label="long" path={`${D}.items.${i.id}.box.length`} />
                  <DocField label="wide" path={`${D}.items.${i.id}.box.width`} />
                  <DocField label="high" path={`${D}.items.${i.id}.box.height`} />
                </div>
              ) : (
                <Button
                  key={i.id}
                  size="compact-xs"
                  variant="subtle"
                  onClick={() =>
                    edit({
                      type: 'set',
                      path: `${D}.items.${i.id}.box`,
                      value: { length: 0.05, width: 0.03, height: 0.02 },
                    })
                  }
                >
                  size of {i.name.toLowerCase()}
                </Button>
              ),
            )}
        </details>
      </section>
      {h && (
        <section className="block">
          <h2>Hover</h2>
          <div>
            Thrust to weight <b className="num">{h.thrustToWeight.toFixed(2)}</b> (
            {h.thrustToWeight >= 2
              ? 'above 2: room to climb and steer'
              : h.thrustToWeight >= 1.5
                ? 'between 1.5 and 2: the least for gentle work'
                : 'below 1.5: too little'}
            ); the CG lies {mm(Math.abs(h.offsetX))} {h.offsetX > 0 ? 'behind' : 'ahead of'} the rotors’
            middle and may lie from {mm(h.from)} to {mm(h.to)}; it can lean {deg(h.lean, 0)} and still carry
            itself.
          </div>
          <table className="sheet">
            <tbody>
              {h.rotors.map((r) => (
                <tr key={r.id}>
                  <td>{r.name}</td>
                  <td className="num">{formatQuantity(r.thrust, 'force', units)}</td>
                  <td className="num">{pct(r.share)}</td>
                  <td className={`num ${r.load > 0.75 ? 'stoptext' : ''}`}>
                    {pct(r.load, 0)} of its largest
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      )}
      <section className="block">
        <h2>As built against as drawn</h2>
        <SheetTable
          path={`${D}.built`}
          caption="Measured twist"
          {...(design.built
            ? {
                addLabel: 'Add a station',
                newRow: () => ({
                  surface: wing.id,
                  side: 'right',
                  y: tip.y,
                  twist: tip.twist + wing.incidence,
                }),
              }
            : {})}
          columns={[
            {
              key: 'surface',
              label: 'Surface',
              cell: {
                type: 'choice',
                options: design.surfaces
                  .filter((s) => s.role !== 'fin')
                  .map((s) => ({ value: s.id, label: s.name })),
              },
            },
            {
              key: 'side',
              label: 'Side',
              cell: {
                type: 'choice',
                options: [
                  { value: 'left', label: 'left' },
                  { value: 'right', label: 'right' },
                ],
              },
            },
            { key: 'y', label: 'Out', cell: { type: 'quantity' } },
            { key: 'twist', label: 'Incidence there', cell: { type: 'quantity' }, width: 90 },
          ]}
        />
        {!design.built && (
          <Button
            size="xs"
            variant="light"
            onClick={() =>
              edit({
                type: 'set',
                path: `${D}.built`,
                value: (['left', 'right'] as const).map((side) => ({
                  surface: wing.id,
                  side,
                  y: tip.y,
                  twist: tip.twist + wing.incidence,
                })),
              })
            }
          >
            Enter measured twist
          </Button>
        )}
        {design.built && (
          <details>
            <summary className="dim clickable">Halves on the scale</summary>
            {design.halves ? (
              <SheetTable
                path={`${D}.halves`}
                caption="Mass of the halves"
                columns={[
                  {
                    key: 'surface',
                    label: 'Surface',
                    cell: {
                      type: 'choice',
                      options: design.surfaces
                        .filter((s) => s.role !== 'fin')
                        .map((s) => ({ value: s.id, label: s.name })),
                    },
                  },
                  { key: 'left', label: 'Left', cell: { type: 'quantity' } },
                  { key: 'right', label: 'Right', cell: { type: 'quantity' } },
                ]}
              />
            ) : (
              <Button
                size="compact-xs"
                variant="subtle"
                onClick={() =>
                  edit({ type: 'set', path: `${D}.halves`, value: [{ surface: wing.id, left: 0, right: 0 }] })
                }
              >
                Weigh the wing’s halves
              </Button>
            )}
          </details>
        )}
        {warp && (
          <div className="mt8">
            <b>
              {warp.drifts === 'straight'
                ? 'No roll worth naming from the shape.'
                : `Hands off it rolls ${warp.drifts}.`}
            </b>{' '}
            {warp.aileron !== null &&
              warp.drifts !== 'straight' &&
              `${deg(Math.abs(warp.aileron))} of aileron holds it. `}
            {warp.drops && `At the stall it drops the ${warp.drops} wing.`}
            <div className="dim mt4">Candidate causes, and the flight that tells them apart:</div>
            {warp.causes.map((c) => (
              <div
                key={c.cause}
                style={{
                  fontSize: '0.8rem',
                  opacity: c.weight > 0 || warp.causes[0].weight === 0 ? 1 : 0.75,
                }}
              >
                {c.cause}. <span className="dim">{c.test}</span>
              </div>
            ))}
          </div>
        )}
      </section>
    </div>
  );
}
