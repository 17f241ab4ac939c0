'use client';
import { Sentence } from '../parts/Sentence';
import { say, type Said } from '@skiametra/core/words';
import { Button, Checkbox, FileButton, NumberInput, TextInput } from '@mantine/core';
import { useState } from 'react';
import { entryOf, type Ledger, entryNamed } from '@skiametra/core/assess';
import {
  emptyRecord,
  HANDLING,
  type Brief,
  type Design,
  type Handling,
  type TestBody,
  powertrainOf,
} from '@skiametra/core/design';
import {
  preflightFor,
  SIMULATED_LOG,
  measurementsOf,
  recordQuestions,
  reduceLog,
  remeasured,
  stopLine,
} from '@skiametra/core/trial';
import { MAX_CSV_BYTES, parseFlightCsv } from '@skiametra/formats';
import { formatMeasured, formatQuantity, type KindName } from '@skiametra/core/units';
import { quantityDef } from '@skiametra/core/assess';
import { createTestAction } from '../server/actions';
import { askCore } from '../workers/coreClient';
import { called } from '../parts/called';
import { ChartFrame } from '../parts/ChartFrame';
import { QuantityField, TextCell } from '../parts/QuantityField';
import { keepOriginal } from '../parts/originals';
import { OriginalFiles } from '../parts/OriginalFiles';
import { Cautions } from '../parts/Cautions';
import { useWorkspace, useWorkspaceStore } from '../parts/workspace/useWorkspace';
import { MarkLegend, ThreeMark } from '../parts/marks/ThreeMark';

const emptyBody = (design: Design, loading: string, temperature: number): TestBody => ({
  card: {
    title: 'New flight',
    question: '',
    oneChange: '',
    expected: '',
    stopWhen: '',
    state: loading,
    overrideReason: '',
  },
  checklist: preflightFor(
    design,
    design.states.find((l) => l.id === loading),
  ).map((c) => ({ ...c, done: false })),
  signedBy: '',
  record: emptyRecord({
    temperature,
  }),
  log: null,
  measurements: [],
});

export function Test() {
  const all = useWorkspace((w) => w.content.tests);
  const versionId = useWorkspace((w) => w.versionId);
  const loading = useWorkspace((w) => w.loading);
  const temperature = useWorkspace((w) => w.content.document.brief.site.temperature);
  const design = useWorkspace((w) => w.content.document.design);
  const addTest = useWorkspace((w) => w.addTest);
  const tests = all.filter((t) => t.versionId === versionId && !t.body.bench);
  const benched = all.filter((t) => t.versionId === versionId && t.body.bench).length;
  const [chosen, setChosen] = useState<string | null>(
    tests.find((t) => !t.body.record.flown)?.id ?? tests[0]?.id ?? null,
  );
  const [error, setError] = useState<string | null>(null);
  const add = async () => {
    const r = await called(createTestAction(versionId, emptyBody(design, loading, temperature)));
    if (r.status === 'refused') setError(r.message);
    else {
      addTest(r.value);
      setChosen(r.value.id);
      setError(null);
    }
  };
  const test = tests.find((t) => t.id === chosen) ?? tests[0];
  return (
    <div className="station two field-friendly cols-test">
      <section className="block">
        <h2>Cards and flights</h2>
        {tests.length === 0 && (
          <p className="dim">No card yet. Plan the first flight: what is to be learnt, and when to stop.</p>
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
            <span className={t.body.record.flown ? 'measuredtext' : 'predictedtext'} aria-hidden="true">
              {t.body.record.flown ? '●' : '◇'}
            </span>{' '}
            {t.body.card.title || 'Untitled'}
            <div className="dim tiny">{t.body.record.flown ? `flown ${t.body.record.date}` : 'planned'}</div>
          </button>
        ))}
        <Button mt={10} variant="light" onClick={() => void add()}>
          Plan a flight
        </Button>
        {benched > 0 && (
          <p className="dim small">
            {benched} bench test{benched > 1 ? 's' : ''} of this version: under Power, Bench.
          </p>
        )}
        {error && (
          <div role="alert" className="stoptext">
            {error}
          </div>
        )}
      </section>
      {test ? <TestSheet key={test.id} id={test.id} body={test.body} /> : <div />}
    </div>
  );
}

/** Writes a change to a test as it stands now and brings its measurements up to date, as one undo step. */
function useTestEdit(id: string) {
  const store = useWorkspaceStore();
  return (patch: Partial<TestBody>): string | null => {
    const { content, edit } = store.getState();
    const { body } = content.tests.find((t) => t.id === id)!;
    const next = { ...body, ...patch },
      measurements = remeasured(body, next);
    return edit({ type: 'set', path: `tests.${id}.body`, value: { ...next, measurements } });
  };
}

function TestSheet({ id, body }: { id: string; body: TestBody }) {
  const set = useTestEdit(id);
  return (
    <div className="cols cols-test2 gap16">
      <div className="stack">
        <Cautions at="flight" state={body.card.state} />
        <Card id={id} body={body} set={set} />
        <Checklist body={body} set={set} />
      </div>
      <div className="stack">
        <Record id={id} body={body} set={set} />
        <LogReader id={id} body={body} set={set} />
        <Measured id={id} body={body} />
      </div>
    </div>
  );
}

/** The stop line; before the first ledger it says that it is not known. */
function stopsOf(brief: Brief, design: Design, ledger: Ledger | null, loading: string): Said[] {
  return ledger ? stopLine(brief, design, ledger, loading) : [say('stop-computing', {})];
}

type SetBody = (patch: Partial<TestBody>) => string | null;

/** A card for another state: its checklist is made anew for what that state carries, unless it was flown by the old one. */
function cardFor(design: Design, body: TestBody, loading: string): Partial<TestBody> {
  const card = { ...body.card, state: loading };
  if (body.record.flown) return { card };
  const state = design.states.find((l) => l.id === loading);
  const done = new Set(body.checklist.filter((c) => c.done).map((c) => c.text));
  const checklist = preflightFor(design, state).map((c) => ({ ...c, done: done.has(c.text) }));
  return { card, checklist, signedBy: '' };
}

function Card({ id, body, set }: { id: string; body: TestBody; set: SetBody }) {
  const states = useWorkspace((w) => w.content.document.design.states);
  const brief = useWorkspace((w) => w.content.document.brief);
  const design = useWorkspace((w) => w.content.document.design);
  const ledger = useWorkspace((w) => w.ledger);
  const units = useWorkspace((w) => w.units);
  const P = `tests.${id}.body.card`;
  const stops = stopsOf(brief, design, ledger, body.card.state);
  const cg = ledger && entryOf(ledger, 'cgX', body.card.state);
  const frame = useWorkspace((w) => w.airframes.filter((a) => a.versionId === w.versionId).at(-1)?.name);
  const row = (label: string, key: 'question' | 'oneChange' | 'expected' | 'stopWhen', hint: string) => (
    <div className="qf">
      <label>
        <span>{label}</span>
      </label>
      <TextCell label={label} path={`${P}.${key}`} area placeholder={hint} />
    </div>
  );
  return (
    <section className="block">
      <h2>Flight card</h2>
      <div className="stack gap8">
        <div className="qf">
          <label>
            <span>Title</span>
          </label>
          <TextCell label="Title" path={`${P}.title`} />
        </div>
        <div className="qf">
          <label htmlFor="card-state">State</label>
          <select
            id="card-state"
            className="cell plaininput"
            value={body.card.state}
            onChange={(e) => set(cardFor(design, body, e.target.value))}
          >
            {states.map((l) => (
              <option key={l.id} value={l.id}>
                {l.name}
              </option>
            ))}
          </select>
        </div>
        {cg && (
          <div className="dim note">
            {frame ? `Airframe: ${frame}. ` : ''}CG should be at {formatQuantity(cg.value, 'length', units)}{' '}
            from the nose in this state.
          </div>
        )}
        {stops.length > 0 && (
          <div className="caution stopedge" role="alert">
            <b className="stoptext">Stop line</b>
            {stops.map((s) => (
              <div key={s.code} className="stoptext">
                <Sentence of={s} />
              </div>
            ))}
            <div className="mt8">To fly all the same, write why:</div>
            <TextCell
              label="Reason to fly past the stop line"
              path={`${P}.overrideReason`}
              placeholder="a written reason"
            />
          </div>
        )}
        {row('What is to be learnt', 'question', 'one question')}
        {row('The one thing changed', 'oneChange', 'one change since the last flight')}
        {row('What is expected', 'expected', 'numbers, before the flight')}
        {row('When to stop', 'stopWhen', 'the sign at which you land')}
      </div>
    </section>
  );
}

function Checklist({ body, set }: { body: TestBody; set: SetBody }) {
  const person = useWorkspace((w) => w.person);
  const done = body.checklist.every((c) => c.done);
  return (
    <section className="block">
      <h2>
        Pre-flight{' '}
        <span className="right dim">
          {body.checklist.filter((c) => c.done).length} of {body.checklist.length}
        </span>
      </h2>
      {body.checklist.map((c, i) => (
        <Checkbox
          key={c.text}
          my={5}
          checked={c.done}
          label={
            <span>
              {c.caution ? (
                <b className="looktext" aria-label="caution">
                  !{' '}
                </b>
              ) : null}
              {c.text}
            </span>
          }
          onChange={(e) =>
            set({
              checklist: body.checklist.map((x, k) =>
                k === i ? { ...x, done: e.currentTarget.checked } : x,
              ),
              signedBy: '',
            })
          }
        />
      ))}
      <div className="line gap12 mid mt8">
        <Button
          disabled={!done || body.signedBy !== ''}
          onClick={() => set({ signedBy: `${person.name}, ${new Date().toLocaleString()}` })}
        >
          Sign the list
        </Button>
        <span className="dim">
          {body.signedBy ? `Signed by ${body.signedBy}` : done ? '' : 'every line first'}
        </span>
      </div>
    </section>
  );
}

function Record({ id, body, set }: { id: string; body: TestBody; set: SetBody }) {
  const brief = useWorkspace((w) => w.content.document.brief);
  const design = useWorkspace((w) => w.content.document.design);
  const ledger = useWorkspace((w) => w.ledger);
  const r = body.record;
  const [laps, setLaps] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  const stops = stopsOf(brief, design, ledger, body.card.state);
  // what is not computed yet cannot be flown past: there is nothing to write a reason against
  const blocked = ledger === null || (stops.length > 0 && body.card.overrideReason.trim().length < 8);
  const put = (patch: Partial<TestBody['record']>) => set({ record: { ...r, ...patch } });
  const opt = (
    label: string,
    key: 'cgX' | 'mass' | 'chargeBefore' | 'chargeAfter' | 'duration' | 'groundRun' | 'stallSpeed',
    kind: KindName,
    hint?: string,
  ) => (
    <QuantityField
      label={label}
      value={r[key]}
      kind={kind}
      hint={hint}
      onCommit={(si) => put({ [key]: si })}
      onClear={() => put({ [key]: null })}
    />
  );
  const commitLaps = () => {
    if (laps === null) return;
    const parts = laps.split(/[\s;]+/).filter(Boolean);
    const times = parts.map((p) => {
      const m = /^(?:(\d+):)?(\d+(?:[.,]\d+)?)$/.exec(p);
      return m ? Number(m[1] ?? 0) * 60 + Number(m[2].replace(',', '.')) : NaN;
    });
    const bad = parts[times.findIndex((t) => !(t > 0))];
    if (bad) {
      setError(`“${bad}” is not a lap time; write seconds or min:sec, with spaces between.`);
      return;
    }
    const refused = put({ laps: times });
    setError(refused);
    if (!refused) setLaps(null);
  };
  if (!r.flown) {
    return (
      <section className="block">
        <h2>Record</h2>
        <p className="dim flushtop">Fly it by the card, then record it here.</p>
        {blocked && (
          <p className="stoptext">
            This card is past the stop line. Write a reason on the card, or mend the design first.
          </p>
        )}
        <Button
          disabled={blocked}
          onClick={() =>
            put({
              flown: true,
              date: new Date().toISOString().slice(0, 10),
              temperature: brief.site.temperature,
              wind: brief.site.wind,
            })
          }
        >
          It was flown: record it
        </Button>
      </section>
    );
  }
  return (
    <section className="block">
      <h2>Record</h2>
      <div className="fields">
        <TextInput
          label="Date"
          type="date"
          value={r.date}
          onChange={(e) => put({ date: e.currentTarget.value })}
        />
        <QuantityField
          label="Temperature"
          value={r.temperature}
          kind="temperature"
          onCommit={(si) => put({ temperature: si })}
        />
        <QuantityField label="Wind" value={r.wind} kind="speed" onCommit={(si) => put({ wind: si })} />
        {opt('CG flown, from the nose', 'cgX', 'length')}
        {opt('All-up mass on the scale', 'mass', 'allUpMass')}
        {opt('Slowest held speed', 'stallSpeed', 'speed')}
        {!powertrainOf(design).unpowered && (
          <>
            {opt('Ground run', 'groundRun', 'distance')}
            {opt('Motor time', 'duration', 'duration')}
            {opt('Charge before', 'chargeBefore', 'charge', 'what the pack held')}
            {opt(
              'Charge after',
              'chargeAfter',
              'charge',
              'what was left: before less what the charger put back',
            )}
          </>
        )}
        {powertrainOf(design).rubber && <RubberRecord record={r} put={put} />}
        <div className={`qf wide${error ? ' bad' : ''}`}>
          <label htmlFor={`laps-${id}`}>Timed laps, seconds or min:sec</label>
          <div className="box">
            <input
              id={`laps-${id}`}
              value={laps ?? r.laps.map((t) => Number(t.toFixed(2))).join('  ')}
              onChange={(e) => setLaps(e.target.value)}
              onBlur={commitLaps}
              onKeyDown={(e) => {
                if (e.key === 'Enter') commitLaps();
                if (e.key === 'Escape') {
                  setLaps(null);
                  setError(null);
                }
              }}
            />
          </div>
          {error && (
            <div className="err" role="alert">
              {error}
            </div>
          )}
        </div>
      </div>
      <h2 className="head mt12">How it handled</h2>
      <div className="line wraps gap8">
        {HANDLING.map((h) => (
          <Button
            key={h}
            variant={r.handling.includes(h) ? 'filled' : 'default'}
            aria-pressed={r.handling.includes(h)}
            onClick={() =>
              put({
                handling: r.handling.includes(h)
                  ? r.handling.filter((x) => x !== h)
                  : ([...r.handling, h] as Handling[]),
              })
            }
          >
            {h}
          </Button>
        ))}
      </div>
      <div className="qf mt12">
        <label>
          <span>Notes</span>
        </label>
        <TextCell label="Notes" path={`tests.${id}.body.record.notes`} area />
      </div>
      <div className="qf mt8">
        <label>
          <span>Damage</span>
        </label>
        <TextCell label="Damage" path={`tests.${id}.body.record.damage`} area />
      </div>
    </section>
  );
}

/** Turns, torque, seconds, height of a flight on rubber; begun by the launch turns. */
function RubberRecord({
  record,
  put,
}: {
  record: TestBody['record'];
  put: (patch: Partial<TestBody['record']>) => string | null;
}) {
  const r = record.rubber;
  const set = (patch: Partial<NonNullable<TestBody['record']['rubber']>>) =>
    put({
      rubber: {
        ...(r ?? {
          launchTurns: null,
          turnsLeft: null,
          launchTorque: null,
          seconds: null,
          height: null,
          motorLength: null,
          pitch: null,
          clean: true,
        }),
        ...patch,
      },
    });
  const free = (
    label: string,
    key: 'turnsLeft' | 'launchTorque' | 'height' | 'motorLength' | 'pitch',
    kind: KindName,
    hint?: string,
  ) => (
    <QuantityField
      label={label}
      kind={kind}
      value={r?.[key] ?? null}
      hint={hint}
      onCommit={(si) => set({ [key]: si })}
      onClear={() => set({ [key]: null })}
    />
  );
  return (
    <>
      <QuantityField
        label="Turns at launch"
        kind="count"
        value={r?.launchTurns ?? null}
        hint="of the motor, not of the crank"
        onCommit={(si) => set({ launchTurns: si })}
        onClear={() => set({ launchTurns: null })}
      />
      {r && (
        <>
          <QuantityField
            label="Time aloft"
            kind="time"
            value={r.seconds}
            onCommit={(si) => set({ seconds: si })}
            onClear={() => set({ seconds: null })}
          />
          {free('Turns left', 'turnsLeft', 'count')}
          {free('Torque at launch', 'launchTorque', 'smallMoment')}
          {free('Greatest height', 'height', 'distance')}
          {free('Motor length, if another', 'motorLength', 'length')}
          {free('Pitch, if another', 'pitch', 'length')}
          <Checkbox
            mt={18}
            label="Clean: nothing touched, no lift, no steering"
            checked={r.clean}
            onChange={(e) => set({ clean: e.currentTarget.checked })}
          />
        </>
      )}
    </>
  );
}

function LogReader({ id, body, set }: { id: string; body: TestBody; set: SetBody }) {
  const document = useWorkspace((w) => w.content.document);
  const [error, setError] = useState<string | null>(null);
  const [laps, setLaps] = useState<number | string>(6);
  const [busy, setBusy] = useState(false);
  const [kept, setKept] = useState(0);
  const take = (text: string, name: string) => {
    const r = parseFlightCsv(text);
    if (r.status === 'error') {
      setError(`${name} was not taken. ${r.message}`);
      return false;
    }
    const reduced = reduceLog(r.rows, body.card.state);
    const refused = set({
      log: {
        name: name.slice(0, 200),
        rows: r.rows,
        remarks: [...r.remarks, ...reduced.remarks].slice(0, 50),
      },
    });
    setError(refused);
    return refused === null;
  };
  const open = (f: File | null) => {
    if (!f) return;
    if (f.size > MAX_CSV_BYTES) {
      setError(
        `${f.name} is larger than ${MAX_CSV_BYTES / 1e6} MB; cut it down to the flight. Nothing was taken.`,
      );
      return;
    }
    void f.text().then(async (t) => {
      if (!take(t, f.name)) return;
      setError(await keepOriginal(id, f));
      setKept((n) => n + 1);
    });
  };
  const fly = async () => {
    setBusy(true);
    try {
      take(
        await askCore({
          task: 'fly',
          document,
          loading: body.card.state,
          laps: Math.min(20, Math.max(1, Number(laps) || 6)),
          seed: 7,
        }),
        SIMULATED_LOG,
      );
    } catch (e) {
      setError(`The simulated logger stopped: ${e instanceof Error ? e.message : String(e)}.`);
    }
    setBusy(false);
  };
  if (!body.record.flown) return null;
  const rows = body.log?.rows;
  const step = rows ? Math.max(1, Math.ceil(rows.length / 500)) : 1;
  const thin = rows?.filter((_, i) => i % step === 0) ?? [];
  const t0 = thin[0]?.[0] ?? 0;
  return (
    <section className="block">
      <h2>Log</h2>
      <div className="line gap8 low wraps">
        <FileButton onChange={open} accept=".csv,.txt,text/csv" inputProps={{ 'aria-label': 'Log file' }}>
          {(p) => (
            <Button variant="default" {...p}>
              Open a CSV log
            </Button>
          )}
        </FileButton>
        <Button variant="light" loading={busy} onClick={() => void fly()}>
          Read the simulated logger
        </Button>
        <NumberInput
          aria-label="Laps flown by the simulated logger"
          w={80}
          size="xs"
          min={1}
          max={20}
          value={laps}
          onChange={setLaps}
          suffix=" laps"
        />
        {body.log && (
          <Button variant="subtle" color="red" onClick={() => set({ log: null })}>
            Take the log out
          </Button>
        )}
      </div>
      {error && (
        <div role="alert" className="stoptext mt8">
          {error}
        </div>
      )}
      <OriginalFiles testId={id} stamp={kept} />
      {body.log && (
        <>
          <div className="dim note around8">
            {body.log.name}: {body.log.rows.length} rows. {body.log.remarks.join(' ')}
          </div>
          <ChartFrame
            title="Height and ground speed"
            height={170}
            xName="Time"
            xKind="time"
            yName="Height; speed"
            yKind="ratio"
            series={[
              {
                name: 'height [m]',
                x: thin.map((r) => r[0] - t0),
                y: thin.map((r) => r[3]),
                look: 'measured',
              },
              {
                name: 'ground speed [m/s]',
                x: thin.map((r) => r[0] - t0),
                y: thin.map((r) => r[4]),
                look: 'ghost',
              },
            ]}
          />
        </>
      )}
    </section>
  );
}

/** What this flight measured beside what was predicted for it. */
function Measured({ id, body }: { id: string; body: TestBody }) {
  const ledger = useWorkspace((w) => w.ledger);
  const units = useWorkspace((w) => w.units);
  const edit = useWorkspace((w) => w.edit);
  if (!body.record.flown) return null;
  return (
    <section className="block">
      <h2>
        What it measured{' '}
        <span className="right">
          <MarkLegend />
        </span>
      </h2>
      {body.measurements.length === 0 && (
        <p className="dim">Nothing yet: enter a ground run, lap times or charge, or open a log.</p>
      )}
      {[...measurementsOf(body).remarks, ...(ledger ? recordQuestions(body, ledger) : [])].map((s) => (
        <div key={s} className="finding ask">
          <span className="sev" aria-hidden="true">
            ?
          </span>
          <div>{s}</div>
        </div>
      ))}
      {body.measurements.map((m, i) => {
        const def = quantityDef(m.quantity);
        const e = ledger && entryNamed(ledger, m.quantity, m.state);
        if (!def) return null;
        const marks = {
          asked: null,
          predicted: e ? { value: e.value, sigma: e.sigma } : null,
          measured: { value: m.value, sigma: m.sigma },
        };
        return (
          <div
            key={`${m.quantity} ${m.from}`}
            style={{
              padding: '7px 0',
              borderBottom: '1px solid var(--hair)',
              opacity: m.setAside ? 0.55 : 1,
            }}
          >
            <div className="line gap8">
              <b className="strong">{def.name}</b>
              <span className="num atend measuredtext">
                {formatMeasured(m.value, m.sigma, def.kind, units)}
              </span>
            </div>
            <ThreeMark name={def.name} marks={marks} kind={def.kind} units={units} />
            <div className="dim tiny line">
              <span>{m.from}</span>
              <label className="atend">
                <input
                  type="checkbox"
                  checked={m.setAside}
                  onChange={(ev) =>
                    edit({
                      type: 'set',
                      path: `tests.${id}.body.measurements.${i}.setAside`,
                      value: ev.target.checked,
                    })
                  }
                />{' '}
                set aside
              </label>
            </div>
          </div>
        );
      })}
    </section>
  );
}
