'use client';
/** Combinations of battery, motor and propeller that no other beats. */
import { Button } from '@mantine/core';
import { powertrainOf, forwardAt } from '@skiametra/core/design';
import { combinationChanges, partsFor } from '@skiametra/core/mass';
import {
  combinationCount,
  paretoRows,
  type MatchRow,
  type MatchTask,
  type OutReason,
} from '@skiametra/core/power';
import { formatQuantity, formatValue, shownUnit, type KindName } from '@skiametra/core/units';
import type { PowerReport } from '@skiametra/core/views';
import { useMemo, useRef, useState } from 'react';
import { ChartFrame } from '../../../parts/ChartFrame';
import { QuantityField } from '../../../parts/fields/QuantityField';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { askCore, matchParts, Stopped, type Progress } from '../../../workers/coreClient';
import { USUAL_FAN } from '../drive/Fan';
import type { Ghost } from '../useGhost';
import { Compared } from './Compared';
import { Reasons } from './Reasons';
import { WhyOut } from './WhyOut';
import { type Column, COLUMNS, MOST_COMPARED, MOST_SHOWN, thin, nameOf } from './foundColumns';

export interface Found {
  rows: MatchRow[];
  out: Partial<Record<OutReason, number>>;
  of: MatchTask;
  done: boolean;
}

export function MatchTab({
  report,
  ghost,
  setGhost,
}: {
  report: PowerReport;
  ghost: Ghost | null;
  setGhost: (g: Ghost | null) => void;
}) {
  const design = useWorkspace((w) => w.content.document.design);
  const document = useWorkspace((w) => w.content.document);
  const units = useWorkspace((w) => w.units);
  const parts = useMemo(() => partsFor(design), [design]);
  const [limits, setLimits] = useState<Partial<MatchTask['limits']> & { speed?: number; throttle?: number }>(
    {},
  );
  const [found, setFound] = useState<Found | null>(null);
  const [progress, setProgress] = useState<Progress | null>(null);
  const [sort, setSort] = useState<keyof MatchRow>('levelSpeed');
  const [columns, setColumns] = useState<Column[]>([]);
  const [trouble, setTrouble] = useState<string | null>(null);
  const stop = useRef<AbortController | null>(null);
  const base = report.match!;
  const task: MatchTask = {
    ...base,
    speed: limits.speed ?? base.speed,
    throttle: limits.throttle ?? base.throttle,
    limits: { ...base.limits, ...limits },
  };
  const total = combinationCount(parts);

  const search = async () => {
    const end = new AbortController();
    stop.current = end;
    setTrouble(null);
    setProgress({ done: 0, total });
    const all: MatchRow[] = [],
      out: Found['out'] = {};
    const show = (done: boolean) => setFound({ rows: [...all], out: { ...out }, of: task, done });
    try {
      await matchParts(
        parts,
        task,
        total,
        (s, p) => {
          all.push(...s.rows);
          for (const [k, n] of Object.entries(s.out)) out[k as OutReason] = (out[k as OutReason] ?? 0) + n;
          setProgress(p);
        },
        end.signal,
      );
      show(true);
    } catch (e) {
      show(false);
      if (!(e instanceof Stopped)) setTrouble(e instanceof Error ? e.message : String(e));
    }
    setProgress(null);
  };
  const compare = async (id: string, name: string, changes: Column['changes']) => {
    if (columns.some((c) => c.id === id)) {
      setColumns(columns.filter((c) => c.id !== id));
      return;
    }
    if (columns.length >= MOST_COMPARED) {
      setTrouble('Four stand side by side already; take one away first.');
      return;
    }
    setTrouble(null);
    setColumns((c) => [...c, { id, name, changes, trial: null }]);
    try {
      const trial = await askCore<'tryChanges'>({ task: 'tryChanges', document, changes });
      setColumns((c) => c.map((x) => (x.id === id ? { ...x, trial } : x)));
    } catch (e) {
      setTrouble(e instanceof Error ? e.message : String(e));
      setColumns((c) => c.filter((x) => x.id !== id));
    }
  };
  const front = useMemo(() => (found ? paretoRows(found.rows) : []), [found]);
  const better = COLUMNS.find((c) => c.key === sort)!.better;
  const shown = useMemo(
    () =>
      [...front].sort((a, b) => better * ((a[sort] as number) - (b[sort] as number))).slice(0, MOST_SHOWN),
    [front, sort, better],
  );
  const limit = (key: keyof MatchTask['limits'], label: string, kind: KindName, clear = true) => (
    <QuantityField
      label={label}
      kind={kind}
      value={task.limits[key]}
      onCommit={(si) => {
        setLimits({ ...limits, [key]: si });
        return null;
      }}
      onClear={
        clear
          ? () => {
              setLimits({ ...limits, [key]: null });
              return null;
            }
          : undefined
      }
    />
  );
  return (
    <div className="station two cols-matchtab">
      <div className="stack">
        <section className="block">
          <h2>What it must do</h2>
          <div className="fields">
            <QuantityField
              label="Task throttle"
              kind="percent"
              value={task.throttle}
              onCommit={(si) =>
                si >= 0.1 && si <= 1
                  ? (setLimits({ ...limits, throttle: si }), null)
                  : 'Throttle goes from 10 to 100 %.'
              }
            />
            <QuantityField
              label="Thrust compared at"
              kind="speed"
              value={task.speed}
              onCommit={(si) =>
                si > 0 && si < 80
                  ? (setLimits({ ...limits, speed: si }), null)
                  : 'A speed above zero, below 80 m/s.'
              }
            />
            {limit('time', 'Time aloft, at least', 'time', false)}
            {limit('climb', 'Climb, at least', 'climbRate', false)}
            {limit('diameter', 'Propeller, at most', 'length')}
            {limit('current', 'Current, at most', 'current')}
            {limit('mass', 'All-up, at most', 'allUpMass')}
            {limit('margin', 'Margin kept', 'percent', false)}
          </div>
          <p className="dim small around8">
            From the brief and the ground clearance; the strip is{' '}
            {formatQuantity(task.strip ?? 0, 'distance', units)}. Emptying a field lifts that limit.
          </p>
          {progress ? (
            <div className="line gap8 mid">
              <progress value={progress.done} max={progress.total} aria-label="Combinations flown" />
              <span className="num small">
                {progress.done} of {progress.total}
              </span>
              <Button size="compact-xs" variant="default" onClick={() => stop.current?.abort()}>
                Stop
              </Button>
            </div>
          ) : (
            <Button onClick={() => void search()}>Fly all {total.toLocaleString('en')} combinations</Button>
          )}
          {trouble && (
            <p className="stoptext" role="alert">
              {trouble}
            </p>
          )}
        </section>
        <div>
          <Button
            variant="subtle"
            size="compact-xs"
            onClick={() =>
              void compare(
                'fan',
                powertrainOf(design).fan
                  ? 'The propeller in place of the fan'
                  : 'A 90 mm ducted fan on this motor',
                [
                  {
                    path: `${forwardAt(design)?.drive}.fan`,
                    value: powertrainOf(design).fan ? undefined : USUAL_FAN,
                  },
                ],
              )
            }
          >
            {powertrainOf(design).fan ? 'Set the propeller beside the fan' : 'Set a ducted fan beside it'}
          </Button>
        </div>
        {found && <Reasons found={found} />}
        <WhyOut parts={parts} task={task} />
      </div>
      <div className="stack">
        {columns.length > 0 && (
          <Compared columns={columns} setColumns={setColumns} ghost={ghost} setGhost={setGhost} />
        )}
        {!found && (
          <p className="dim atmost620">
            {parts.motors.length} motors, {parts.propellers.length} propellers, {parts.packs.length} packs and{' '}
            {parts.escs.length} controllers, made up but of usual size, with your own parts among them. Each
            combination is flown on paper in this airframe, in the state chosen above.
          </p>
        )}
        {found && (
          <>
            <ChartFrame
              title={`${found.rows.length} stay in; ${front.length} that no other beats${found.done ? '' : ' (stopped early)'}`}
              height={230}
              xName="Time aloft"
              xKind="duration"
              yName={`Thrust at ${formatQuantity(found.of.speed, 'speed', units)}`}
              yKind="force"
              series={[
                {
                  name: 'not beaten in thrust, time and lightness',
                  ...thin(front),
                  look: 'predicted',
                  marks: true,
                },
                { name: 'stays in', ...thin(found.rows), look: 'ghost', marks: true, small: true },
              ]}
            />
            {found.rows.length === 0 && (
              <p role="status">
                Nothing stays in. The commonest reasons stand at the left: lift the limit that blocks most, or
                change the airframe.
              </p>
            )}
            {shown.length > 0 && (
              <div className="scrollx">
                <table className="sheet shelf" aria-label="Combinations that no other beats">
                  <thead>
                    <tr>
                      <th>Motor</th>
                      <th>Propeller</th>
                      <th>Pack</th>
                      <th>ESC</th>
                      {COLUMNS.map((c) => (
                        <th
                          key={c.key}
                          className="num"
                          aria-sort={sort === c.key ? (c.better < 0 ? 'descending' : 'ascending') : undefined}
                        >
                          <button type="button" className="sorter" onClick={() => setSort(c.key)}>
                            {c.label} [{shownUnit(c.kind, units)}]{sort === c.key ? ' ↓' : ''}
                          </button>
                        </th>
                      ))}
                      <th>
                        <span className="vh">Keep beside</span>
                      </th>
                    </tr>
                  </thead>
                  <tbody>
                    {shown.map((r) => {
                      const n = nameOf(parts, r),
                        on = columns.some((c) => c.id === String(r.index));
                      return (
                        <tr key={r.index} className="oneliner">
                          <td>{n.motor}</td>
                          <td>{n.propeller}</td>
                          <td>{n.pack}</td>
                          <td>{parts.escs.find((e) => e.id === r.esc)?.name}</td>
                          {COLUMNS.map((c) => (
                            <td key={c.key} className="num">
                              {formatValue(r[c.key] as number, c.kind, units)}
                            </td>
                          ))}
                          <td>
                            <Button
                              size="compact-xs"
                              variant={on ? 'filled' : 'subtle'}
                              aria-pressed={on}
                              onClick={() =>
                                void compare(
                                  String(r.index),
                                  `${n.motor} · ${n.propeller} · ${n.pack}`,
                                  combinationChanges(design, parts, r),
                                )
                              }
                            >
                              Compare
                            </Button>
                          </td>
                        </tr>
                      );
                    })}
                  </tbody>
                </table>
              </div>
            )}
          </>
        )}
      </div>
    </div>
  );
}
