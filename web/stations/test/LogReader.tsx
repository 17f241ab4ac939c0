'use client';
/** The log of a flight, read and reduced. */
import { Button, FileButton, NumberInput } from '@mantine/core';
import type { TestBody } from '@skiametra/core/design';
import { SIMULATED_LOG, reduceLog } from '@skiametra/core/trial';
import { MAX_CSV_BYTES, parseFlightCsv } from '@skiametra/formats';
import { useState } from 'react';
import { ChartFrame } from '../../parts/ChartFrame';
import { OriginalFiles } from '../../parts/OriginalFiles';
import { keepOriginal } from '../../parts/originals';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { askCore } from '../../workers/coreClient';
import type { SetBody } from './card';

export function LogReader({ id, body, set }: { id: string; body: TestBody; set: SetBody }) {
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
