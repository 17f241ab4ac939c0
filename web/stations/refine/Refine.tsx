'use client';
import { say } from '@skiametra/core/words';
import { Sentence, useSentence } from '../parts/Sentence';
import { Button, Group, Modal, TextInput, Textarea } from '@mantine/core';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { entryNamed, keyOf, quantityDef, type Fix } from '@skiametra/core/assess';
import { FACTORS } from '@skiametra/core/design';
import { applyFix, type Advice, type Effect, type Explained } from '@skiametra/core/refine';
import { combine } from '@skiametra/core/trial';
import {
  formatMeasured,
  formatQuantity,
  formatSpread,
  formatValue,
  type KindName,
  type UnitSystem,
} from '@skiametra/core/units';
import { createVersionAction } from '../server/actions';
import { askCore } from '../workers/coreClient';
import { called } from '../parts/called';
import { changeWords } from '../parts/changeWords';
import { useCalibrate } from '../parts/useCalibrate';
import { saysSomething, type Marks, type Measured } from '../parts/marks/marks';
import { MarkLegend, ThreeMark } from '../parts/marks/ThreeMark';
import { askedOf } from '../parts/marks/useMarks';
import { Silhouette } from '../parts/Silhouette';
import { refineSentence } from '../parts/frame/stationMarks';
import { comparableTests, useWorkspace } from '../parts/workspace/useWorkspace';

export function Refine() {
  return (
    <div className="station cols-refine">
      <div className="stack">
        <ThreeColumns />
        <Comparison />
      </div>
      <div className="stack">
        <Calibration />
        <AdviceList />
        <VersionTree />
      </div>
    </div>
  );
}

/** Limits in words: at least, at most, or a range. */
function askedText(asked: Marks['asked'], kind: KindName, units: UnitSystem): string {
  if (!asked) return '';
  const { min, max } = asked;
  if (min !== null && max !== null)
    return `${formatValue(min, kind, units)} to ${formatQuantity(max, kind, units)}`;
  return min !== null
    ? `≥ ${formatQuantity(min, kind, units)}`
    : max !== null
      ? `≤ ${formatQuantity(max, kind, units)}`
      : '';
}

const measuredText = (m: Measured | null, kind: KindName, units: UnitSystem) =>
  m ? formatMeasured(m.value, m.sigma, kind, units) : '';

/** Every quantity that is asked or measured, with all three marks. */
function ThreeColumns() {
  const ledger = useWorkspace((w) => w.ledger);
  const brief = useWorkspace((w) => w.content.document.brief);
  const design = useWorkspace((w) => w.content.document.design);
  const content = useWorkspace((w) => w.content);
  const versionId = useWorkspace((w) => w.versionId);
  const units = useWorkspace((w) => w.units);
  const setWhy = useWorkspace((w) => w.setWhy);
  const [every, setEvery] = useState(false);
  if (!ledger) return null;
  const measured = comparableTests({ content, versionId, ledger }).flatMap((t) =>
    t.body.measurements.filter((m) => !m.setAside),
  );
  const keys = new Set<string>(measured.map((m) => `${m.quantity}@${m.state}`));
  for (const r of brief.requirements)
    for (const s of r.state === 'all'
      ? quantityDef(r.quantity)?.scope === 'all'
        ? ['all']
        : [design.states[0].id, design.states[design.states.length - 1].id]
      : [r.state])
      keys.add(`${r.quantity}@${s}`);
  if (every) for (const e of ledger.entries) keys.add(keyOf(e));
  const rows = [...keys].flatMap((k) => {
    const [id, state] = k.split('@');
    const def = quantityDef(id);
    if (!def) return [];
    const e = entryNamed(ledger, id, state);
    const list = measured.filter((m) => m.quantity === id && m.state === state);
    return [
      {
        k,
        id,
        state,
        def,
        marks: {
          asked: askedOf(brief, id, state),
          predicted: e ? { value: e.value, sigma: e.sigma } : null,
          measured: list.length ? combine(list) : null,
        },
      },
    ];
  });
  return (
    <section className="block">
      <h2>
        Asked, predicted, measured{' '}
        <span className="right">
          <MarkLegend />
        </span>
      </h2>
      <div className="scrollx high430 scrolls">
        <table
          className="sheet fixed small"

          aria-label="Asked, predicted, measured"
        >
          <thead>
            <tr>
              <th>Quantity</th>
              <th className="num w112">Asked</th>
              <th className="num w122">Predicted</th>
              <th className="num w130">Measured</th>
              <th className="w90">On one scale</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ k, id, state, def, marks }) => (
              <tr key={k} className="clickable" onClick={() => setWhy({ id, state })}>
                <td>
                  {def.name}{' '}
                  <span className="dim tiny">{design.states.find((l) => l.id === state)?.name ?? ''}</span>
                </td>
                <td className="num">{askedText(marks.asked, def.kind, units)}</td>
                <td className="num">{measuredText(marks.predicted, def.kind, units)}</td>
                <td className="num measuredtext">{measuredText(marks.measured, def.kind, units)}</td>
                <td>
                  {saysSomething(marks) && (
                    <ThreeMark name={def.name} marks={marks} kind={def.kind} units={units} />
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <Button variant="subtle" onClick={() => setEvery(!every)}>
        {every ? 'Only what is asked or measured' : 'Every quantity'}
      </Button>
    </section>
  );
}

/** Factors before and after the measurements: the band narrows. */
function Calibration() {
  const document = useWorkspace((w) => w.content.document);
  const { flown, fit, busy, failed, result, forget } = useCalibrate();
  const units = useWorkspace((w) => w.units);
  const cal = document.calibration;
  return (
    <section className="block">
      <h2>
        What the tests say of the model{' '}
        <span className="right dim">
          {cal.from.length
            ? `from ${cal.from.length} test${cal.from.length > 1 ? 's' : ''}`
            : 'before any test'}
        </span>
      </h2>
      <div className="scrollx">
        <table className="sheet" aria-label="Calibration factors">
          <thead>
            <tr>
              <th>Factor</th>
              <th className="num">Before</th>
              <th className="num">Now</th>
              <th className="w170">0.6 to 1.4</th>
            </tr>
          </thead>
          <tbody>
            {FACTORS.map((f, i) => {
              const sd = Math.sqrt(Math.max(0, cal.covariance[i][i]));
              const X = (v: number) => Math.max(0, Math.min(160, ((v - 0.6) / 0.8) * 160));
              return (
                <tr key={f.id} title={f.meaning} data-factor={f.id}>
                  <td>{f.name}</td>
                  <td className="num dim oneline">{formatMeasured(f.mean, f.sd, 'ratio', units)}</td>
                  <td className="num oneline">{formatMeasured(cal.mean[i], sd, 'ratio', units)}</td>
                  <td>
                    <svg
                      width={132}
                      height={16}
                      viewBox="0 0 160 16"
                      preserveAspectRatio="none"
                      aria-hidden="true"
                    >
                      <line x1={X(1)} x2={X(1)} y1={0} y2={16} stroke="var(--hair)" />
                      <rect
                        x={X(f.mean - f.sd)}
                        width={X(f.mean + f.sd) - X(f.mean - f.sd)}
                        y={6}
                        height={4}
                        fill="var(--hair)"
                      />
                      <rect
                        x={X(cal.mean[i] - sd)}
                        width={Math.max(1, X(cal.mean[i] + sd) - X(cal.mean[i] - sd))}
                        y={4}
                        height={8}
                        fill="var(--predicted-soft)"
                      />
                      <path
                        d={`M ${X(cal.mean[i])} 3 l 4 5 l -4 5 l -4 -5 z`}
                        fill="var(--paper)"
                        stroke="var(--predicted)"
                        strokeWidth={1.5}
                      />
                    </svg>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <Group mt={8}>
        <Button loading={busy} disabled={flown.length === 0} onClick={() => void fit()}>
          Update from {flown.length} test{flown.length === 1 ? '' : 's'}
        </Button>
        {cal.from.length > 0 && (
          <Button variant="default" onClick={forget}>
            Back to before any test
          </Button>
        )}
      </Group>
      {flown.length === 0 && (
        <p className="dim">Record a flight in Test, or run the bench in Power, first.</p>
      )}
      {failed && (
        <div role="alert" className="stoptext">
          {failed}
        </div>
      )}
      {result?.status === 'nothing' && <div role="alert">{result.reason}</div>}
      {result?.status === 'updated' && result.rows.some((r) => r.outlier) && (
        <div className="caution">
          Far from what was expected, and worth a second look:{' '}
          {result.rows
            .filter((r) => r.outlier)
            .map((r) => `${quantityDef(r.quantity)?.name ?? r.quantity} (${r.surprise.toFixed(1)} sigma)`)
            .join(', ')}
          . Kept in the fit; set it aside in Test if it was a bad reading.
        </div>
      )}
      {result?.status === 'updated' && result.unused.length > 0 && (
        <p className="dim over8">
          Not used by any factor: {result.unused.map((u) => quantityDef(u)?.name ?? u).join(', ')}.
        </p>
      )}
    </section>
  );
}

const SHOWN_EFFECTS = 9;

function AdviceList() {
  const document = useWorkspace((w) => w.content.document);
  const ledger = useWorkspace((w) => w.ledger);
  const tests = useWorkspace((w) => w.content.tests);
  const versionId = useWorkspace((w) => w.versionId);
  const units = useWorkspace((w) => w.units);
  const words = useSentence();
  const [advice, setAdvice] = useState<Advice[] | null>(null);
  const [picked, setPicked] = useState<Record<string, boolean>>({});
  const [making, setMaking] = useState(false);
  useEffect(() => {
    if (!ledger || ledger.stopped) return;
    const notes = tests
      .filter((t) => t.versionId === versionId && t.body.record.flown)
      .map((t) => ({
        loading: t.body.card.state,
        handling: t.body.record.handling,
        test: t.body.card.title,
      }));
    let live = true;
    void askCore({ task: 'advise', document, ledger, notes }).then(
      (a) => {
        if (live) setAdvice(a);
      },
      () => undefined,
    );
    return () => {
      live = false;
    };
  }, [document, ledger, tests, versionId]);
  const chosen = (advice ?? []).filter((a) => a.fix && (picked[a.id] ?? true));
  const fix: Fix | null = chosen.length
    ? {
        label: say('all-of', { labels: chosen.map((a) => a.fix!.label) }),
        changes: chosen.flatMap((a) => a.fix!.changes),
      }
    : null;
  return (
    <section className="block">
      <h2>What to change next</h2>
      {(advice ?? []).length === 0 && (
        <p className="dim flush">{refineSentence(ledger, advice !== null, units)}</p>
      )}
      {(advice ?? []).map((a) => (
        <div key={a.id} className="finding look">
          <span className="sev">
            {a.fix ? (
              <input
                type="checkbox"
                aria-label={`Include: ${words(a.fix.label)}`}
                checked={picked[a.id] ?? true}
                onChange={(e) => setPicked({ ...picked, [a.id]: e.target.checked })}
              />
            ) : (
              '!'
            )}
          </span>
          <div>
            <div>{words(a.said)}</div>
            <div className="dim small">Because {words(a.because)}.</div>
          </div>
        </div>
      ))}
      {fix && <Effects fix={fix} />}
      <Button mt={10} onClick={() => setMaking(true)}>
        Make the next version{fix ? ' with this' : ''}
      </Button>
      <NextVersion
        opened={making}
        onClose={() => setMaking(false)}
        fix={fix}
        reason={chosen.map((a) => `${words(a.fix!.label)}, because ${words(a.because)}.`).join(' ')}
      />
    </section>
  );
}

/** What the change does to everything else, worst loading first. */
function Effects({ fix }: { fix: Fix }) {
  const document = useWorkspace((w) => w.content.document);
  const units = useWorkspace((w) => w.units);
  const loading = useWorkspace((w) => w.loading);
  const [effects, setEffects] = useState<Effect[] | null>(null);
  const key = JSON.stringify(fix.changes);
  useEffect(() => {
    let live = true;
    void askCore({
      task: 'effect',
      document,
      fix: { label: say('all-of', { labels: [] }), changes: JSON.parse(key) as Fix['changes'] },
    }).then(
      (e) => {
        if (live) setEffects(e);
      },
      () => undefined,
    );
    return () => {
      live = false;
    };
  }, [document, key]);
  if (!effects) return <p className="dim">Working out what else changes …</p>;
  const rows = effects.filter((e) => e.state === loading || e.state === 'all').slice(0, SHOWN_EFFECTS);
  return (
    <div className="mt8">
      <div className="dim note">
        What that does to everything else ({effects.length} numbers move; here those of the whole design and
        the state in view):
      </div>
      <table className="sheet" aria-label="Effect of the change">
        <tbody>
          {rows.map((e) => {
            const d = quantityDef(e.id)!;
            const better = d.better === 'none' ? null : (d.better === 'more') === e.after > e.before;
            return (
              <tr key={`${e.id}${e.state}`}>
                <td>{d.name}</td>
                <td className="num dim">{formatQuantity(e.before, d.kind, units)}</td>
                <td className="num">{formatQuantity(e.after, d.kind, units)}</td>
                <td className={`w60 ${better === null ? 'dim' : better ? 'finetext' : 'stoptext'}`}>
                  {better === null ? '' : better ? 'better' : 'worse'}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {rows.length === 0 && <div className="dim">Nothing in this state moves by more than a thousandth.</div>}
    </div>
  );
}

/** The aircraft's name with the number after the highest in use; branches without a number do not count. */
export function nextName(aircraft: string, names: readonly string[]): string {
  const used = names
    .map((n) => (n.startsWith(`${aircraft} `) ? Number(n.slice(aircraft.length + 1)) : NaN))
    .filter((n) => Number.isInteger(n) && n > 0);
  return `${aircraft} ${Math.max(0, ...used) + 1}`;
}

function NextVersion({
  opened,
  onClose,
  fix,
  reason,
}: {
  opened: boolean;
  onClose: () => void;
  fix: Fix | null;
  reason: string;
}) {
  const document = useWorkspace((w) => w.content.document);
  const project = useWorkspace((w) => w.project);
  const versionId = useWorkspace((w) => w.versionId);
  const proposed = useWorkspace((w) =>
    nextName(
      w.project.aircraft,
      w.versions.map((v) => v.name),
    ),
  );
  const router = useRouter();
  const [name, setName] = useState<string | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const make = async () => {
    setBusy(true);
    const next = fix ? { ...document, design: applyFix(document.design, fix) } : document;
    // the built parts of the old airframe are not the new one's: its scale readings stay with the parent
    const design = { ...next.design, scale: [] };
    const made = createVersionAction(versionId, name ?? proposed, why ?? reason, { ...next, design });
    const r = await called(made);
    setBusy(false);
    if (r.status === 'refused') setError(r.message);
    else router.push(`/projects/${project.id}/versions/${r.value}/refine`);
  };
  return (
    <Modal opened={opened} onClose={onClose} centered title={<b>Next version</b>}>
      <form
        className="stack"
        onSubmit={(e) => {
          e.preventDefault();
          void make();
        }}
      >
        {fix && (
          <div>
            With: <Sentence of={fix.label} />.
          </div>
        )}
        <TextInput
          label="Name"
          value={name ?? proposed}
          onChange={(e) => setName(e.currentTarget.value)}
          data-autofocus
        />
        <Textarea
          label="Why"
          autosize
          minRows={2}
          value={why ?? reason}
          onChange={(e) => setWhy(e.currentTarget.value)}
        />
        {error && (
          <div role="alert" className="stoptext">
            {error}
          </div>
        )}
        <Button type="submit" loading={busy}>
          Make it
        </Button>
      </form>
    </Modal>
  );
}

/** Every version with the one it grew from and the reason, newest last. */
function VersionTree() {
  const all = useWorkspace((w) => w.versions);
  const versions = all.filter((v) => v.id > 0);
  const versionId = useWorkspace((w) => w.versionId);
  const project = useWorkspace((w) => w.project);
  const tests = useWorkspace((w) => w.content.tests);
  if (versions.length < 2) return null;
  const depth = (id: number | null): number => {
    const v = versions.find((x) => x.id === id);
    return v ? 1 + depth(v.parentId) : 0;
  };
  return (
    <section className="block">
      <h2>Versions</h2>
      {versions.map((v) => {
        const flown = tests.filter((t) => t.versionId === v.id && t.body.record.flown).length;
        return (
          <div
            key={v.id}
            style={{
              display: 'flex',
              gap: 10,
              alignItems: 'center',
              padding: '6px 0 6px',
              paddingLeft: 18 * (depth(v.id) - 1),
              borderBottom: '1px solid var(--hair)',
            }}
          >
            {(v.document?.design ?? v.face) && (
              <Silhouette design={(v.document?.design ?? v.face)!} size={44} />
            )}
            <div className="narrowable">
              {v.id === versionId ? (
                <b>{v.name}</b>
              ) : (
                <Link href={`/projects/${project.id}/versions/${v.id}/refine`}>{v.name}</Link>
              )}{' '}
              <span className="dim small">{flown ? `${flown} flown` : 'not flown'}</span>
              <div className="dim small">{v.reason}</div>
            </div>
          </div>
        );
      })}
    </section>
  );
}

const pathName = (path: string) =>
  path
    .replace(/^design\./, '')
    .replace(/^brief\./, 'brief ')
    .replace(/\./g, ' › ');
/** This version against the compared one, each difference explained by the inputs that changed. */
function Comparison() {
  const againstId = useWorkspace((w) => w.againstId);
  const versions = useWorkspace((w) => w.versions);
  const versionId = useWorkspace((w) => w.versionId);
  const document = useWorkspace((w) => w.content.document);
  const loading = useWorkspace((w) => w.loading);
  const units = useWorkspace((w) => w.units);
  const [rows, setRows] = useState<Explained[] | null>(null);
  const other = versions.find((v) => v.id === againstId),
    before = other?.document ?? null;
  const me = versions.find((v) => v.id === versionId)!;
  useEffect(() => {
    if (!before) {
      setRows(null);
      return;
    }
    let live = true;
    const watch = document.brief.watch;
    const keys = [
      ...new Set([
        ...watch,
        ...[
          'staticMargin',
          'cgX',
          'mass',
          'stallSpeed',
          'groundRun',
          'climbRate',
          'lapTime',
          'energyLeft',
          'allowedLoadFactor',
          'score',
        ].map((q) => `${q}@${loading}`),
        'neutralPoint@all',
        'bestScore@all',
        'dragArea@all',
      ]),
    ];
    void askCore({ task: 'explain', before, after: document, keys }).then(
      (r) => {
        if (live) setRows(r);
      },
      () => undefined,
    );
    return () => {
      live = false;
    };
  }, [before, document, loading]);
  if (!other) return me.reason ? <p className="dim">Why this version: {me.reason}</p> : null;
  const moved =
    rows?.filter((r) => Math.abs(r.after - r.before) > 1e-3 * Math.max(Math.abs(r.before), 1e-9)) ?? [];
  return (
    <section className="block">
      <h2>
        {me.name} against {other.name}
      </h2>
      {me.reason && <p className="below8">{me.reason}</p>}
      {!rows && <p className="dim">Comparing …</p>}
      {rows && moved.length === 0 && (
        <p className="dim">No watched number differs by more than a thousandth.</p>
      )}
      {moved.length > 0 && (
        <div className="scrollx">
          <table className="sheet" aria-label="Comparison of versions">
            <thead>
              <tr>
                <th>Quantity</th>
                <th className="num">{other.name}</th>
                <th className="num">{me.name}</th>
                <th>Because</th>
              </tr>
            </thead>
            <tbody>
              {moved.map((r) => {
                const d = quantityDef(r.id)!;
                return (
                  <tr key={`${r.id}${r.state}`}>
                    <td>
                      {d.name}{' '}
                      <span className="dim tiny">
                        {document.design.states.find((l) => l.id === r.state)?.name ?? ''}
                      </span>
                    </td>
                    <td className="num dim">{formatQuantity(r.before, d.kind, units)}</td>
                    <td className="num">{formatQuantity(r.after, d.kind, units)}</td>
                    <td className="small">
                      {r.steps
                        .filter((s) => Math.abs(s.delta) > 0.03 * Math.abs(r.after - r.before))
                        .map((s) => (
                          <div key={s.path}>
                            {s.delta > 0 ? '+' : '−'}
                            {formatSpread(Math.abs(s.delta), d.kind, units, r.after)} from{' '}
                            {s.path === 'calibration'
                              ? 'what the tests taught'
                              : `${pathName(s.path)} (${changeWords(s.changes, s.path, units)})`}
                          </div>
                        ))}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}
