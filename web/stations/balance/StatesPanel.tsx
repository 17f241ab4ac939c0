'use client';
/** Every state beside the others, and what is different in the one in view. */
import { DESIGN } from '../../parts/paths';
import { Button, Checkbox, NativeSelect } from '@mantine/core';
import {
  LEAVING,
  LEAVING_WORDS,
  RETURNING,
  RETURNING_WORDS,
  leavingOf,
  returningOf,
} from '@skiametra/core/design';
import { formatQuantity, formatValue } from '@skiametra/core/units';
import type { LayoutReport } from '@skiametra/core/views';
import { Cautions } from '../../parts/Cautions';
import { ChartFrame } from '../../parts/ChartFrame';
import { DocField } from '../../parts/fields/DocField';
import { Sentence } from '../../parts/Sentence';
import { DocTable } from '../../parts/table';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { pct, deg } from './saidAs';

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
  const P = `${DESIGN}.states.${i}`;
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
          <DocTable
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
