'use client';
/** The thrust stand: run it, open its file or type its readings; claims against measured; what it teaches the model. */
import { Button, Checkbox, FileButton, NativeSelect, NumberInput, TextInput } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import { emptyRecord, MOST_RUNS, type BenchBody, type BenchRow, type TestBody } from '@skiametra/core/design';
import { entryOf } from '@skiametra/core/assess';
import { benchPower, fittedNow, isOwnDrive, type BenchResult } from '@skiametra/core/trial';
import { formatNumber, formatQuantity } from '@skiametra/core/units';
import { MAX_BENCH_BYTES, parseBenchCsv, writeBenchCsv } from '@skiametra/formats';
import { createTestAction } from '../../server/actions';
import { called } from '../../parts/called';
import { ChartFrame } from '../../parts/ChartFrame';
import { give } from '../../parts/give';
import { QuantityField, TextCell } from '../../parts/QuantityField';
import { Readings } from '../../parts/marks/Reading';
import { SheetTable } from '../../parts/SheetTable';
import { useCalibrate } from '../../parts/useCalibrate';
import { keepOriginal } from '../../parts/originals';
import { OriginalFiles } from '../../parts/OriginalFiles';
import { useWorkspace, useWorkspaceStore } from '../../parts/workspace/useWorkspace';
import { askCore } from '../../workers/coreClient';

type BenchTest = { id: string; body: TestBody & { bench: BenchBody } };

/** Bench tests of this version, newest last. */
function useBenchTests(): BenchTest[] {
  const tests = useWorkspace((w) => w.content.tests);
  const versionId = useWorkspace((w) => w.versionId);
  return tests.filter(
    (t): t is typeof t & BenchTest => t.versionId === versionId && t.body.bench !== undefined,
  );
}

const today = () => new Date().toISOString().slice(0, 10);

function emptyBench(loading: string, temperature: number, title: string, bench: BenchBody): TestBody {
  return {
    card: {
      title,
      question: 'Do the maker’s figure and the computed one hold?',
      oneChange: '',
      expected: '',
      stopWhen: '',
      state: loading,
      overrideReason: '',
    },
    checklist: [],
    signedBy: '',
    record: emptyRecord({
      flown: true,
      date: today(),
      temperature,
    }),
    log: null,
    measurements: [],
    bench,
  };
}

export function BenchTab() {
  const tests = useBenchTests();
  const design = useWorkspace((w) => w.content.document.design);
  const versionId = useWorkspace((w) => w.versionId);
  const loading = useWorkspace((w) => w.loading);
  const temperature = useWorkspace((w) => w.content.document.brief.site.temperature);
  const addTest = useWorkspace((w) => w.addTest);
  const [chosen, setChosen] = useState<string | null>(tests[0]?.id ?? null);
  const [error, setError] = useState<string | null>(null);
  const add = async () => {
    const fresh = emptyBench(loading, temperature, `Bench ${tests.length + 1}`, {
      propeller: null,
      pack: null,
      runs: [],
      claim: null,
    });
    const r = await called(createTestAction(versionId, fresh));
    if (r.status === 'refused') setError(r.message);
    else {
      addTest(r.value);
      setChosen(r.value.id);
      setError(null);
    }
  };
  const name = (id: string | null, fallback: string) =>
    (design.swaps ?? []).find((s) => s.id === id)?.label ?? fallback;
  const test = tests.find((t) => t.id === chosen) ?? tests[0];
  return (
    <div className="station two cols-benchtab">
      <section className="block">
        <h2>On the stand</h2>
        {tests.length === 0 && (
          <p className="dim">
            No bench test yet. Makers’ figures are taken cold and rounded up; ten minutes on the stand tell.
          </p>
        )}
        {tests.map((t) => (
          <button
            key={t.id}
            type="button"
            className={`reading ${t.id === test?.id ? 'chosen' : ''}`}
            aria-pressed={t.id === test?.id}
            onClick={() => setChosen(t.id)}
            style={{ padding: '8px 6px' }}
          >
            <span className={t.body.bench.runs.length ? 'measuredtext' : 'predictedtext'} aria-hidden="true">
              {t.body.bench.runs.length ? '●' : '◇'}
            </span>{' '}
            {t.body.card.title}
            <div className="dim tiny">
              {name(t.body.bench.propeller, 'propeller as designed')},{' '}
              {name(t.body.bench.pack, 'pack as designed')}
            </div>
          </button>
        ))}
        <Button mt={10} variant="light" onClick={() => void add()}>
          New bench test
        </Button>
        {error && (
          <div role="alert" className="stoptext">
            {error}
          </div>
        )}
      </section>
      {test ? <BenchSheet key={test.id} test={test} /> : <div />}
    </div>
  );
}

/** Reduces the readings whenever they, or the design, change. */
function useResult(bench: BenchBody, temperature: number): BenchResult | null {
  const document = useWorkspace((w) => w.content.document);
  const [result, setResult] = useState<BenchResult | null>(null);
  useEffect(() => {
    let here = true;
    askCore<'bench'>({ task: 'bench', document, bench, temperature }).then(
      (r) => {
        if (here) setResult(r);
      },
      () => {
        if (here) setResult(null);
      },
    );
    return () => {
      here = false;
    };
  }, [document, bench, temperature]);
  return result;
}

function BenchSheet({ test }: { test: BenchTest }) {
  const { id, body } = test,
    bench = body.bench,
    P = `tests.${id}.body`;
  const document = useWorkspace((w) => w.content.document);
  const edit = useWorkspace((w) => w.edit);
  const result = useResult(bench, body.record.temperature);
  const swaps = document.design.swaps ?? [];
  const take = useTake(id);
  const claim = bench.claim ?? { thrust: null, current: null, volts: null };
  const setClaim = (patch: Partial<typeof claim>) => {
    const c = { ...claim, ...patch };
    return edit({
      type: 'set',
      path: `${P}.bench.claim`,
      value: c.thrust === null && c.current === null && c.volts === null ? null : c,
    });
  };
  const options = (kind: 'propeller' | 'pack', own: string) => [
    { value: '', label: own },
    ...swaps.filter((s) => s.kind === kind).map((s) => ({ value: s.id, label: s.label })),
  ];
  return (
    <div className="cols cols-benchtab2 gap16">
      <div className="stack">
        <section className="block">
          <div className="strong mb8">
            <TextCell label="Title of the bench test" path={`${P}.card.title`} />
          </div>
          <div className="fields three">
            <NativeSelect
              label="Propeller on the stand"
              value={bench.propeller ?? ''}
              onChange={(e) => {
                const propeller = e.currentTarget.value || null;
                void take((b) => ({ ...b, propeller }));
              }}
              data={options('propeller', 'as designed')}
            />
            <NativeSelect
              label="Pack"
              value={bench.pack ?? ''}
              onChange={(e) => {
                const pack = e.currentTarget.value || null;
                void take((b) => ({ ...b, pack }));
              }}
              data={options('pack', 'as designed')}
            />
            <TextInput
              label="Date"
              type="date"
              value={body.record.date}
              onChange={(e) => edit({ type: 'set', path: `${P}.record.date`, value: e.currentTarget.value })}
            />
            <QuantityField
              label="Air"
              kind="temperature"
              value={body.record.temperature}
              onCommit={(si) => edit({ type: 'set', path: `${P}.record.temperature`, value: si })}
            />
            <QuantityField
              label="Maker claims, thrust"
              kind="force"
              value={claim.thrust}
              onCommit={(si) => setClaim({ thrust: si })}
              onClear={() => setClaim({ thrust: null })}
            />
            <QuantityField
              label="at a current of"
              kind="current"
              value={claim.current}
              onCommit={(si) => setClaim({ current: si })}
              onClear={() => setClaim({ current: null })}
            />
            <QuantityField
              label="and volts"
              kind="voltage"
              value={claim.volts}
              onCommit={(si) => setClaim({ volts: si })}
              onClear={() => setClaim({ volts: null })}
            />
          </div>
        </section>
        <Runner testId={id} bench={bench} take={take} />
        {result && result.steps.length > 0 && <BenchCharts result={result} />}
        <Runs bench={bench} take={take} path={`${P}.bench.runs`} />
        <OriginalFiles testId={id} stamp={bench.runs.length} />
      </div>
      <div className="stack">
        {result && result.points.length > 0 ? (
          <Teaches result={result} bench={bench} />
        ) : (
          <p className="dim">
            Run the stand, open a CSV, or type a table: throttle, volts, amps, thrust, rpm, with the motor
            stopped at the start and the end.
          </p>
        )}
      </div>
    </div>
  );
}

/** A change of the readings as they stand when it is made. @returns a sentence when it is refused */
type Take = (change: (now: BenchBody) => BenchBody) => Promise<string | null>;

/**
 * Changes readings and what follows from them, as one undo step that touches nothing else of the test: a run takes half a
 * minute, and what was typed meanwhile stands.
 */
function useTake(id: string): Take {
  const store = useWorkspaceStore();
  return async (change) => {
    for (;;) {
      const { document, tests } = store.getState().content;
      const { bench: now, record } = tests.find((t) => t.id === id)!.body;
      const asked = change(now!);
      const fresh = now!.runs.length === 0 || asked.propeller !== now!.propeller || !asked.fitted;
      const bench = fresh ? { ...asked, fitted: fittedNow(document.design, asked.propeller) } : asked;
      const { temperature } = record;
      const { measurements } = await askCore<'bench'>({ task: 'bench', document, bench, temperature });
      const then = store.getState().content.tests.find((t) => t.id === id)!.body;
      // changed while it was reduced: once more, from what stands there now
      if (then.bench !== now) continue;
      const P = `tests.${id}.body`;
      return store.getState().edit({
        type: 'apply',
        changes: [
          { path: `${P}.bench`, value: bench },
          { path: `${P}.measurements`, value: measurements },
        ],
      });
    }
  };
}

/** Runs the shipped simulated stand through its socket, with progress and stop. */
function Runner({ testId, bench, take }: { testId: string; bench: BenchBody; take: Take }) {
  const design = useWorkspace((w) => w.content.document.design);
  const [hold, setHold] = useState<number | string>(6);
  const [repeats, setRepeats] = useState<number | string>(3);
  const [tare, setTare] = useState(true);
  const [at, setAt] = useState<{
    run: number;
    step: number;
    steps: number;
    throttle: number;
    thrust: number;
  } | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const stop = useRef<AbortController | null>(null);
  const full = (more: number) =>
    bench.runs.length + more > MOST_RUNS
      ? `A bench test holds ${MOST_RUNS} runs, and this one has ${bench.runs.length}: begin another.`
      : null;
  const run = async () => {
    const refused = full(Number(repeats) || 1);
    if (refused) return setTrouble(refused);
    const end = new AbortController(),
      runs = new Map<number, BenchRow[]>();
    stop.current = end;
    setTrouble(null);
    setAt({ run: 0, step: 0, steps: 8, throttle: 0, thrust: 0 });
    const power = benchPower(design, bench.runs.length === 0 ? { ...bench, fitted: undefined } : bench);
    try {
      const response = await fetch('/api/bench', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        signal: end.signal,
        body: JSON.stringify({
          power,
          throttles: [0.3, 0.45, 0.6, 0.75, 0.9, 1],
          hold: Number(hold) || 6,
          repeats: Number(repeats) || 1,
          tare,
          seed: 11 + bench.runs.length,
        }),
      });
      if (!response.ok || !response.body)
        throw new Error(
          ((await response.json().catch(() => null)) as { message?: string } | null)?.message ??
            'The server does not answer.',
        );
      let rest = '';
      const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
      for (;;) {
        const { value, done } = await reader.read();
        if (done) break;
        rest += value;
        const lines = rest.split('\n');
        rest = lines.pop()!;
        for (const line of lines) {
          const e = JSON.parse(line) as {
            run?: number;
            step: number;
            steps: number;
            rows: BenchRow[];
            error?: string;
          };
          if (e.error) throw new Error(e.error);
          if (e.run === undefined) continue;
          runs.set(e.run, [...(runs.get(e.run) ?? []), ...e.rows]);
          const last = e.rows[e.rows.length - 1];
          setAt({
            run: e.run,
            step: e.step + 1,
            steps: e.steps,
            throttle: last?.[1] ?? 0,
            thrust: last?.[4] ?? 0,
          });
        }
      }
      await keep(runs);
    } catch (e) {
      if (end.signal.aborted) {
        setTrouble(
          runs.size > 1
            ? 'Stopped; the motor is off. The runs that were whole are kept.'
            : 'Stopped; the motor is off and nothing was kept.',
        );
        runs.delete(Math.max(...runs.keys()));
        if (runs.size) await keep(runs);
      } else setTrouble(e instanceof Error ? e.message : String(e));
    }
    setAt(null);
  };
  const keep = async (runs: Map<number, BenchRow[]>) => {
    const refused = await take((b) => ({
      ...b,
      runs: [
        ...b.runs,
        ...[...runs.values()].map((rows, i) => ({
          name: `run ${b.runs.length + i + 1}`,
          kind: 'log' as const,
          rows,
        })),
      ],
    }));
    if (refused) setTrouble(refused);
  };
  const open = (f: File | null) => {
    if (!f) return;
    if (f.size > MAX_BENCH_BYTES) {
      setTrouble(`${f.name} is larger than ${MAX_BENCH_BYTES / 1e6} MB; nothing was taken.`);
      return;
    }
    void f.text().then(async (t) => {
      const r = parseBenchCsv(t);
      if (r.status === 'error') {
        setTrouble(`${f.name} was not taken. ${r.message}`);
        return;
      }
      const kind = r.rows.length > 40 ? ('log' as const) : ('table' as const);
      const refused =
        full(1) ??
        (await take((b) => ({
          ...b,
          runs: [...b.runs, { name: f.name.slice(0, 80), kind, rows: r.rows }],
        })));
      setTrouble(refused ?? r.remarks[0] ?? (await keepOriginal(testId, f)));
    });
  };
  return (
    <section className="block" aria-label="Run the stand">
      <h2>Run the stand</h2>
      <div className="line gap8 low wraps">
        {at ? (
          <>
            <progress
              value={at.run * at.steps + at.step}
              max={at.steps * (Number(repeats) || 1)}
              aria-label="Progress of the run"
            />
            <span className="num note">
              run {at.run + 1}, {formatNumber(100 * at.throttle, 3)} %, scale {formatNumber(at.thrust, 3)} N
            </span>
            <Button color="red" onClick={() => stop.current?.abort()}>
              Stop the motor
            </Button>
          </>
        ) : (
          <>
            <Button onClick={() => void run()}>Run the simulated stand</Button>
            <NumberInput
              aria-label="Runs"
              w={84}
              size="xs"
              min={1}
              max={5}
              value={repeats}
              onChange={setRepeats}
              suffix=" runs"
            />
            <NumberInput
              aria-label="Seconds a step"
              w={104}
              size="xs"
              min={1}
              max={20}
              value={hold}
              onChange={setHold}
              suffix=" s a step"
            />
            <Checkbox label="Tare first" checked={tare} onChange={(e) => setTare(e.currentTarget.checked)} />
            <FileButton
              onChange={open}
              accept=".csv,.txt,text/csv"
              inputProps={{ 'aria-label': 'Bench file' }}
            >
              {(p) => (
                <Button variant="default" {...p}>
                  Open a CSV
                </Button>
              )}
            </FileButton>
            <Button
              variant="default"
              onClick={() =>
                void take((b) => ({
                  ...b,
                  runs: [
                    ...b.runs,
                    {
                      name: `table ${b.runs.length + 1}`,
                      kind: 'table' as const,
                      rows: [
                        [0, 0, 16.8, 0, 0, 0, null],
                        [10, 1, 16, 10, 8, 700, null],
                      ] as BenchRow[],
                    },
                  ],
                })).then(setTrouble)
              }
            >
              Type a table
            </Button>
          </>
        )}
      </div>
      {trouble && (
        <div role="alert" className="stoptext mt8">
          {trouble}
        </div>
      )}
    </section>
  );
}

function BenchCharts({ result }: { result: BenchResult }) {
  const s = result.steps,
    x = s.map((p) => p.throttle),
    pts = result.points;
  return (
    <div className="cols cols-benchtab3">
      <ChartFrame
        title="Thrust by throttle"
        height={200}
        xName="Throttle"
        xKind="percent"
        yName="Thrust"
        yKind="force"
        yFromZero
        series={[
          { name: 'computed, volts as read', x, y: s.map((p) => p.predicted.thrust), look: 'predicted' },
          {
            name: 'read, tare off',
            x: pts.map((p) => p.throttle),
            y: pts.map((p) => p.thrust),
            look: 'measured',
            marks: true,
          },
        ]}
      />
      <ChartFrame
        title="Current by throttle"
        height={200}
        xName="Throttle"
        xKind="percent"
        yName="Current"
        yKind="current"
        yFromZero
        series={[
          { name: 'computed, volts as read', x, y: s.map((p) => p.predicted.amps), look: 'predicted' },
          {
            name: 'read',
            x: pts.map((p) => p.throttle),
            y: pts.map((p) => p.amps),
            look: 'measured',
            marks: true,
          },
        ]}
      />
    </div>
  );
}

function Runs({ bench, take, path }: { bench: BenchBody; take: Take; path: string }) {
  const tables = bench.runs.flatMap((r, i) => (r.kind === 'table' ? [{ r, i }] : []));
  return (
    <section className="block" aria-label="Runs">
      <h2>Runs</h2>
      {bench.runs.map((r, i) => (
        <div key={`${r.name}-${i}`} className="line gap8 note base">
          <span>{r.name}</span>
          <span className="dim">
            {r.kind === 'log'
              ? `${r.rows.length} rows, averaged in steady windows`
              : `${r.rows.length} readings by hand`}
          </span>
          <Button
            size="compact-xs"
            variant="subtle"
            ml="auto"
            onClick={() => give(`${r.name.replace(/\W+/g, '-')}.csv`, 'text/csv', writeBenchCsv(r.rows))}
          >
            CSV
          </Button>
          <Button
            size="compact-xs"
            variant="subtle"
            color="red"
            aria-label={`Take out ${r.name}`}
            onClick={() => void take((b) => ({ ...b, runs: b.runs.filter((x) => x !== r) }))}
          >
            Take out
          </Button>
        </div>
      ))}
      {tables.map(({ r, i }) => (
        <details key={i} className="mt8">
          <summary className="clickable note">Readings of {r.name}</summary>
          <SheetTable
            path={`${path}.${i}.rows`}
            caption={`Readings of ${r.name}`}
            least={1}
            addLabel="Add a reading"
            newRow={() => [10 * r.rows.length, 1, 16, 10, 8, 700, null]}
            columns={[
              { key: '1', label: 'Throttle', cell: { type: 'quantity', kind: 'percent' } },
              { key: '2', label: 'Volts', cell: { type: 'quantity', kind: 'voltage' } },
              { key: '3', label: 'Amps', cell: { type: 'quantity', kind: 'current' } },
              { key: '4', label: 'Thrust', cell: { type: 'quantity', kind: 'force' } },
              { key: '5', label: 'Rotation', cell: { type: 'quantity', kind: 'rotation' } },
            ]}
          />
          <Button size="compact-xs" variant="light" onClick={() => void take((b) => ({ ...b }))}>
            Take these readings into the measured numbers
          </Button>
        </details>
      ))}
    </section>
  );
}

/** What the readings say: tare, repeats, claims, factors; the model brought up to date. */
function Teaches({ result, bench }: { result: BenchResult; bench: BenchBody }) {
  const ledger = useWorkspace((w) => w.ledger);
  const units = useWorkspace((w) => w.units);
  const edit = useWorkspace((w) => w.edit);
  const design = useWorkspace((w) => w.content.document.design),
    swaps = design.swaps;
  const { fit: calibrate, busy, failed, flown } = useCalibrate();
  const f = result.fit,
    own = result.corrected !== null;
  const index = (swaps ?? []).findIndex((s) => s.id === bench.propeller);
  const predicted = ledger && entryOf(ledger, 'staticThrust', 'all')?.value;
  return (
    <>
      <section className="block" aria-label="What it says">
        <h2>What it says</h2>
        {result.claims.map((c) => (
          <div key={c}>{c}</div>
        ))}
        {result.remarks.map((r) => (
          <div key={r} className="finding look unruled pad4">
            <span className="sev" aria-hidden="true">
              !
            </span>
            <div>{r}</div>
          </div>
        ))}
        {f && (
          <table className="sheet" aria-label="Measured over computed">
            <thead>
              <tr>
                <th>Measured over computed</th>
                <th className="num">factor</th>
                <th className="num">±</th>
              </tr>
            </thead>
            <tbody>
              {(
                [
                  ['thrust at its rpm', f.thrust, f.sigma[0]],
                  ['propeller torque', f.torque, f.sigma[1]],
                  ['electrical loss', f.loss, f.sigma[2]],
                ] as const
              ).map(([n, v, s]) => (
                <tr key={n}>
                  <td>{n}</td>
                  <td className="num measuredtext">{v.toFixed(3)}</td>
                  <td className="num">{s.toFixed(3)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        {result.corrected && predicted != null && (
          <p className="around8">
            Brought to the site’s air and a half-full pack:{' '}
            <b className="num">{formatQuantity(result.corrected.thrust, 'force', units)}</b>,{' '}
            {formatQuantity(result.corrected.amps, 'current', units)} at{' '}
            {formatQuantity(result.corrected.omega, 'rotation', units)}; predicted{' '}
            {formatQuantity(predicted, 'force', units)}.
          </p>
        )}
        {own && (
          <div>
            <Button loading={busy} onClick={() => void calibrate()}>
              Update the model from {flown.length} test{flown.length === 1 ? '' : 's'}
            </Button>
            <div className="dim small mt4">Weighed against what the model believed before.</div>
          </div>
        )}
        {f && !isOwnDrive(design, bench) && index < 0 && (
          <p className="around8">
            The design flies another propeller or motor since these runs: they stay on record and teach it
            nothing.
          </p>
        )}
        {failed && (
          <div role="alert" className="stoptext">
            {failed}
          </div>
        )}
        {!own && result.correction && index >= 0 && (
          <div>
            <p className="around8">
              This is not the propeller and motor the design flies now, so it teaches the model nothing; its
              factors can be kept with it.
            </p>
            <Button
              onClick={() =>
                edit({
                  type: 'set',
                  path: `document.design.swaps.${swaps![index].id}.data.correction`,
                  value: result.correction,
                })
              }
            >
              Keep {result.correction.thrust.toFixed(2)} and {result.correction.torque.toFixed(2)} with{' '}
              {swaps![index].label}
            </Button>
          </div>
        )}
      </section>
      {own && (
        <Readings
          title="Predicted and measured"
          state="all"
          ids={['staticThrust', 'staticCurrent', 'staticRpm']}
        />
      )}
      <section className="block">
        <h2>Steps</h2>
        <div className="scrollx">
          <table className="sheet" aria-label="Steps of the bench">
            <thead>
              <tr>
                <th className="num">Throttle</th>
                <th className="num">Volts</th>
                <th className="num">Amps</th>
                <th className="num">Thrust</th>
                <th className="num">rpm</th>
                <th className="num">g/W</th>
                <th className="num">apart</th>
              </tr>
            </thead>
            <tbody>
              {result.steps.map((s) => (
                <tr key={s.throttle}>
                  <td className="num">{formatNumber(100 * s.throttle, 3)} %</td>
                  <td className="num">{s.volts.toFixed(2)}</td>
                  <td className="num">{formatNumber(s.amps, 3)}</td>
                  <td className="num">{formatQuantity(s.thrust, 'force', units)}</td>
                  <td className="num">{formatQuantity(s.omega, 'rotation', units).replace(' rpm', '')}</td>
                  <td className="num">{formatNumber(s.gramsPerWatt, 3)}</td>
                  <td className="num">{s.runs > 1 ? `${(100 * s.spread).toFixed(1)} %` : ''}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </section>
    </>
  );
}
