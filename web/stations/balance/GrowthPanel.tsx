'use client';
/** How the aircraft grows while it is built, and which requirement goes first. */
import { Button } from '@mantine/core';
import { formatQuantity, formatValue } from '@skiametra/core/units';
import type { GrowthReport } from '@skiametra/core/views';
import { useState } from 'react';
import { ChartFrame } from '../../parts/ChartFrame';
import { Sentence } from '../../parts/Sentence';
import { ShownTable, type ShownColumn } from '../../parts/table';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { askCore } from '../../workers/coreClient';

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
          {g.breaks[0] ? (
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
          <ShownTable
            name="Growth by group"
            rows={g.growth.groups}
            rowKey={(r) => r.group}
            columns={COLUMNS}
          />
        </>
      )}
    </div>
  );
}

const COLUMNS: ShownColumn<GrowthReport['growth']['groups'][number]>[] = [
  { key: 'group', label: 'Group', fixed: true, value: (r) => r.group },
  { key: 'planned', label: 'Planned', kind: 'mass', value: (r) => r.planned },
  { key: 'weighed', label: 'Weighed of it', kind: 'mass', value: (r) => r.weighed || null },
  { key: 'growth', label: 'Growth', kind: 'ratio', value: (r) => r.factor },
  { key: 'forecast', label: 'Forecast', kind: 'mass', value: (r) => r.forecast },
];
