'use client';
/** The logs of a flight: a file of any logger, the simulated one, or points of footage. */
import { Button, FileButton, NativeSelect, Progress, UnstyledButton } from '@mantine/core';
import type { LogEntry, TestBody } from '@skiametra/core/design';
import { MOST_LOGS } from '@skiametra/core/design';
import { useEffect, useState } from 'react';
import { OriginalFiles } from '../../../parts/OriginalFiles';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { askCore } from '../../../workers/coreClient';
import type { SetBody } from '../card';
import { Footage } from './Footage';
import { LogSheet } from './LogSheet';
import { Mapping } from './Mapping';
import type { LogsState } from './logDesk';
import { useLogs, type Logs } from './useLogs';

/** A larger file is none of a model aircraft's flight. */
const MOST_BYTES = 80_000_000;

export function LogBlock({ id, body, set }: { id: string; body: TestBody; set: SetBody }) {
  const { state, desk: logs } = useLogs(id, set),
    held = body.logs ?? [],
    shown = held.find((l) => l.file === state.shown);
  useEffect(() => {
    if (shown && state.reduced) logs.follow(shown);
  }, [shown, state.reduced, state.busy, logs]);
  if (!body.record.flown) return null;
  return (
    <section className="block logblock" aria-label="Logs">
      <h2>
        Logs <span className="right dim">{held.length === 0 ? 'none yet' : ''}</span>
      </h2>
      <TakeIn {...{ logs, body }} full={held.length >= MOST_LOGS} />
      {state.error && (
        <div role="alert" className="stoptext mt8">
          {state.error}
        </div>
      )}
      {state.busy && <Busy logs={logs} state={state} />}
      {state.draft && state.opened?.table && !state.busy && (
        <Mapping
          table={state.opened.table}
          onTake={(columns) => void logs.accept(columns)}
          onLeave={() => logs.stop()}
        />
      )}
      {held.map((l) => (
        <LogLine key={l.file} entry={l} logs={logs} chosen={l === shown} />
      ))}
      <OriginalFiles testId={id} stamp={held.length} />
      {shown && state.reduced && (
        <LogSheet key={shown.file} logs={logs} entry={shown} reduced={state.reduced} body={body} />
      )}
    </section>
  );
}

function Busy({ logs, state }: { logs: Logs; state: LogsState }) {
  const { busy, bytes, total } = state;
  return (
    <div className="line gap8 low around8" role="status">
      <span>{busy} …</span>
      {busy === 'Reading' && total > 0 && (
        <Progress value={(100 * bytes) / total} w={160} aria-label="Share of the file that is read" />
      )}
      <Button size="xs" variant="default" onClick={() => logs.stop()}>
        Stop
      </Button>
    </div>
  );
}

function TakeIn({ logs, body, full }: { logs: Logs; body: TestBody; full: boolean }) {
  const document = useWorkspace((w) => w.content.document),
    [said, setSaid] = useState<string | null>(null),
    [format, setFormat] = useState<'own' | 'other' | 'gpx' | 'igc'>('own');
  const open = (f: File | null) => {
    if (!f) return;
    if (f.size > MOST_BYTES)
      return setSaid(
        `${f.name} is larger than ${MOST_BYTES / 1e6} MB; cut it down to the flight. Nothing was taken.`,
      );
    setSaid(null);
    void logs.takeIn(f, 'logged');
  };
  const fly = async () => {
    try {
      const text = await askCore({
        task: 'fly',
        document,
        loading: body.card.state,
        laps: 6,
        seed: 7,
        format,
      });
      const name = `simulated logger.${format === 'gpx' || format === 'igc' ? format : 'csv'}`;
      await logs.takeIn(new File([text], name), 'simulated');
      setSaid(null);
    } catch (e) {
      setSaid(`The simulated logger stopped: ${e instanceof Error ? e.message : String(e)}.`);
    }
  };
  if (full) return <p className="dim">A test holds {MOST_LOGS} logs at most.</p>;
  return (
    <div
      className="stack gap8 dropfile"
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        open(e.dataTransfer.files[0] ?? null);
      }}
    >
      <div className="line gap8 low wraps">
        <FileButton onChange={open} inputProps={{ 'aria-label': 'Log file' }}>
          {(p) => <Button {...p}>Open a log</Button>}
        </FileButton>
        <span className="dim tiny">or drop it here: a table of any columns, GPX, IGC, KML, GeoJSON</span>
        <span className="atend line gap8 low">
          <Button size="xs" variant="light" onClick={() => void fly()}>
            Read the simulated logger
          </Button>
          <NativeSelect
            size="xs"
            aria-label="Format of the simulated logger"
            value={format}
            data={[
              { value: 'own', label: 'own table' },
              { value: 'other', label: 'another maker’s' },
              { value: 'gpx', label: 'GPX' },
              { value: 'igc', label: 'IGC' },
            ]}
            onChange={(e) => setFormat(e.currentTarget.value as typeof format)}
          />
        </span>
      </div>
      {said && (
        <div role="alert" className="stoptext">
          {said}
        </div>
      )}
      <Footage onTake={(f) => void logs.takeIn(f, 'footage')} />
    </div>
  );
}

const ORIGINS: Readonly<Record<LogEntry['origin'], string>> = {
  logged: '',
  footage: 'points of footage',
  simulated: 'simulated logger',
};

function LogLine({ entry, logs, chosen }: { entry: LogEntry; logs: Logs; chosen: boolean }) {
  const wrong = Object.values(entry.faults).reduce((s, n) => s + n, 0);
  return (
    <div className="line gap8 low wraps logline">
      <UnstyledButton
        className={`reading ${chosen ? 'chosen' : ''}`}
        aria-pressed={chosen}
        onClick={() => void logs.show(entry)}
      >
        <b>{entry.name}</b>{' '}
        <span className="dim">
          {ORIGINS[entry.origin] && `${ORIGINS[entry.origin]}, `}
          {entry.rows} rows, {entry.length.toFixed(0)} s
          {wrong > 0 && `, ${wrong} ${wrong === 1 ? 'fault' : 'faults'}`}
        </span>
      </UnstyledButton>
      {!chosen && (
        <Button size="xs" variant="light" onClick={() => void logs.show(entry)}>
          Show its trace
        </Button>
      )}
      <Button size="xs" variant="subtle" color="red" onClick={() => logs.takeOut(entry)}>
        Take it out
      </Button>
    </div>
  );
}
