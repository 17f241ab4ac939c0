'use client';
/** Motor, propeller and pack chosen together: every combination of the catalogue and the own parts, flown on paper. */
import { sentence } from '@skiametra/core/words';
import { powertrainOf, forwardAt } from '@skiametra/core/design';
import { Button, NativeSelect } from '@mantine/core';
import { useMemo, useRef, useState } from 'react';
import type { PowerReport, Trial } from '@skiametra/core/views';
import { quantityDef } from '@skiametra/core/assess';
import { combinationChanges, partsFor } from '@skiametra/core/mass';
import {
  combinationCount,
  indexOfCombination,
  outSaid,
  paretoRows,
  type MatchRow,
  type MatchTask,
  type OutReason,
  type PartsList,
} from '@skiametra/core/power';
import { formatQuantity, formatValue, shownUnit, type KindName } from '@skiametra/core/units';
import { ChartFrame } from '../../parts/ChartFrame';
import { QuantityField } from '../../parts/QuantityField';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { askCore, matchParts, Stopped, type Progress } from '../../workers/coreClient';
import { USUAL_FAN } from './DriveInputs';
import type { Ghost } from './useGhost';

const REASON: Record<OutReason, string> = {
  diameter: 'propeller too large for the ground',
  cells: 'too many cells',
  current: 'over the motor’s current',
  'pack current': 'over the pack’s current',
  fuse: 'over the rule’s current',
  controller: 'no controller',
  'tip speed': 'tips too fast',
  mass: 'too heavy',
  'no level flight': 'no level flight',
  climb: 'climbs too little',
  strip: 'strip too short',
  time: 'flies too short',
};
const COLUMNS: { key: keyof MatchRow; label: string; kind: KindName; better: 1 | -1 }[] = [
  { key: 'levelSpeed', label: 'Level', kind: 'speed', better: -1 },
  { key: 'thrustAtSpeed', label: 'Thrust', kind: 'force', better: -1 },
  { key: 'climb', label: 'Climb', kind: 'climbRate', better: -1 },
  { key: 'run', label: 'Run', kind: 'distance', better: 1 },
  { key: 'time', label: 'Time', kind: 'duration', better: -1 },
  { key: 'mass', label: 'All-up', kind: 'allUpMass', better: 1 },
  { key: 'used', label: 'Limit', kind: 'percent', better: 1 },
];
/** Stands in the ledger for a run or lap that does not end. */
const NEVER = 9999;
const MOST_SHOWN = 24,
  MOST_POINTS = 350,
  MOST_COMPARED = 4;
const COMPARED = [
  'mass',
  'staticThrust',
  'staticCurrent',
  'topSpeed',
  'climbRate',
  'groundRun',
  'lapTime',
  'laps',
  'energyLeft',
  'staticMargin',
  'score',
] as const;

interface Found {
  rows: MatchRow[];
  out: Partial<Record<OutReason, number>>;
  of: MatchTask;
  done: boolean;
}
interface Column {
  id: string;
  name: string;
  changes: { path: string; value: unknown }[];
  trial: Trial | null;
}

const nameOf = (parts: PartsList, r: Pick<MatchRow, 'motor' | 'propeller' | 'pack'>) => ({
  motor: parts.motors.find((x) => x.id === r.motor)?.name ?? r.motor,
  propeller: parts.propellers.find((x) => x.id === r.propeller)?.name ?? r.propeller,
  pack: parts.packs.find((x) => x.id === r.pack)?.name ?? r.pack,
});

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

function thin(rows: readonly MatchRow[]): { x: number[]; y: number[] } {
  const step = Math.max(1, Math.ceil(rows.length / MOST_POINTS)),
    kept = rows.filter((_, i) => i % step === 0);
  return { x: kept.map((r) => r.time), y: kept.map((r) => r.thrustAtSpeed) };
}

function Reasons({ found }: { found: Found }) {
  const list = Object.entries(found.out).sort((a, b) => b[1] - a[1]),
    most = Math.max(1, ...list.map((l) => l[1]));
  return (
    <section className="block" aria-label="Why the others are out">
      <h2>Why the others are out</h2>
      {list.map(([k, n]) => (
        <div key={k} className="small">
          <div className="line">
            <span>{REASON[k as OutReason]}</span>
            <span className="num atend">{n}</span>
          </div>
          <div style={{ height: 3, width: `${(100 * n) / most}%`, background: 'var(--ghost)' }} />
        </div>
      ))}
    </section>
  );
}

/** “Why is this one out”: any combination by hand. */
function WhyOut({ parts, task }: { parts: PartsList; task: MatchTask }) {
  const [ids, setIds] = useState({
    motor: parts.motors[0].id,
    propeller: parts.propellers[0].id,
    pack: parts.packs[0].id,
  });
  const [answer, setAnswer] = useState<MatchRow | null>(null);
  const units = useWorkspace((w) => w.units);
  const ask = async () => {
    const index = indexOfCombination(parts, ids);
    if (index >= 0) setAnswer(await askCore<'matchOne'>({ task: 'matchOne', parts, match: task, index }));
  };
  const pick = (key: keyof typeof ids, label: string, list: readonly { id: string; name: string }[]) => (
    <NativeSelect
      aria-label={label}
      value={list.some((p) => p.id === ids[key]) ? ids[key] : list[0].id}
      onChange={(e) => {
        setIds({ ...ids, [key]: e.currentTarget.value });
        setAnswer(null);
      }}
      data={list.map((p) => ({ value: p.id, label: p.name }))}
    />
  );
  return (
    <section className="block" aria-label="Why is this one out">
      <h2>Why is this one out?</h2>
      <div className="stack gap8">
        {pick('motor', 'Motor asked about', parts.motors)}
        {pick('propeller', 'Propeller asked about', parts.propellers)}
        {pick('pack', 'Pack asked about', parts.packs)}
        <div>
          <Button variant="light" onClick={() => void ask()}>
            Look
          </Button>
        </div>
      </div>
      {answer && (
        <div role="status" className="note mt8">
          {answer.out.length === 0
            ? `It stays in: ${[
                `${formatQuantity(answer.levelSpeed, 'speed', units)} level`,
                `${formatQuantity(answer.climb, 'climbRate', units)} climb`,
                formatQuantity(answer.time, 'duration', units),
              ].join(', ')}.`
            : answer.out
                .map((o) => {
                  const s = sentence(outSaid(o, answer, task), units);
                  return `${s[0].toUpperCase()}${s.slice(1)}.`;
                })
                .join(' ')}
        </div>
      )}
    </section>
  );
}

/** Gains and losses that show: a thousandth of what is fitted now. */
function gainTone(gain: number, now: number): string {
  const least = 1e-3 * Math.abs(now);
  if (gain > least) return 'finetext';
  return gain < -least ? 'looktext' : '';
}

/** Up to four side by side, each through the whole assessment. */
function Compared({
  columns,
  setColumns,
  ghost,
  setGhost,
}: {
  columns: Column[];
  setColumns: (c: Column[]) => void;
  ghost: Ghost | null;
  setGhost: (g: Ghost | null) => void;
}) {
  const ledger = useWorkspace((w) => w.ledger);
  const loading = useWorkspace((w) => w.loading);
  const units = useWorkspace((w) => w.units);
  const edit = useWorkspace((w) => w.edit);
  const at = (list: readonly { id: string; state: string; value: number }[], id: string) =>
    list.find((e) => e.id === id && e.state === loading)?.value ??
    list.find((e) => e.id === id && e.state === 'all')?.value;
  return (
    <section className="block" aria-label="Side by side">
      <h2>Side by side, through the whole assessment</h2>
      <div className="scrollx">
        <table className="sheet" aria-label="Combinations side by side">
          <thead>
            <tr>
              <th>
                <span className="vh">Number</span>
              </th>
              <th className="num">Fitted now</th>
              {columns.map((c) => (
                <th key={c.id} className="num wrapping atleast120">
                  {c.name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {COMPARED.map((id) => {
              const def = quantityDef(id)!,
                now = ledger && at(ledger.entries, id);
              return now == null ? null : (
                <tr key={id} className="oneliner">
                  <td>{def.name}</td>
                  <td className="num">{formatQuantity(now, def.kind, units)}</td>
                  {columns.map((c) => {
                    const v = c.trial && at(c.trial.values, id);
                    const gain =
                      v != null && def.better !== 'none' ? (def.better === 'more' ? v - now : now - v) : 0;
                    return (
                      <td key={c.id} className={`num ${gainTone(gain, now)}`}>
                        {v == null
                          ? c.trial
                            ? '–'
                            : '…'
                          : v >= NEVER
                            ? 'never'
                            : formatQuantity(v, def.kind, units)}
                      </td>
                    );
                  })}
                </tr>
              );
            })}
            <tr>
              <td>What is wrong</td>
              <td />
              {columns.map((c) => (
                <td key={c.id} className="wrapping tiny">
                  {[...(c.trial?.stopped ? [c.trial.stopped] : (c.trial?.findings.slice(0, 3) ?? []))]
                    .map((f) => sentence(f, units))
                    .join(' ')}
                </td>
              ))}
            </tr>
            <tr>
              <td />
              <td />
              {columns.map((c) => (
                <td key={c.id}>
                  <div className="line wraps gap4 toend">
                    <Button
                      size="compact-xs"
                      onClick={() => {
                        edit({
                          type: 'apply',
                          changes: c.changes.map((x) => ({
                            path: `document.design.${x.path}`,
                            value: x.value,
                          })),
                        });
                        setColumns(columns.filter((x) => x.id !== c.id));
                      }}
                    >
                      Fit
                    </Button>
                    <Button
                      size="compact-xs"
                      variant={ghost?.name === c.name ? 'filled' : 'default'}
                      disabled={!c.trial}
                      onClick={() =>
                        setGhost(ghost?.name === c.name ? null : { name: c.name, thrust: c.trial!.thrust })
                      }
                    >
                      Ghost
                    </Button>
                    <Button
                      size="compact-xs"
                      variant="subtle"
                      aria-label={`Take ${c.name} away`}
                      onClick={() => setColumns(columns.filter((x) => x.id !== c.id))}
                    >
                      ✕
                    </Button>
                  </div>
                </td>
              ))}
            </tr>
          </tbody>
        </table>
      </div>
    </section>
  );
}
