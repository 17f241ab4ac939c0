'use client';
/** Where readings come from: the simulated stand, a file, the keyboard. */
import { Button, Checkbox, FileButton, NumberInput } from '@mantine/core';
import { useState } from 'react';
import type { BenchBody, BenchRow } from '@skiametra/core/design';
import { formatQuantity } from '@skiametra/core/units';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { useBenchFile } from './useBenchFile';
import { useStand, type StandAt } from './useStand';
import type { Take } from './useTake';

interface Props {
  testId: string;
  bench: BenchBody;
  take: Take;
}

export function Runner({ testId, bench, take }: Props) {
  const [trouble, setTrouble] = useState<string | null>(null);
  const [hold, setHold] = useState<number | string>(6);
  const [repeats, setRepeats] = useState<number | string>(3);
  const [tare, setTare] = useState(true);
  const { at, run, stop } = useStand(bench, take, setTrouble);
  const open = useBenchFile(testId, bench, take, setTrouble);
  const options = { hold: Number(hold) || 6, repeats: Number(repeats) || 1, tare };
  const byHand = () => void take((b) => ({ ...b, runs: [...b.runs, firstTable(b)] })).then(setTrouble);
  return (
    <section className="block" aria-label="Run the stand">
      <h2>Run the stand</h2>
      <div className="line gap8 low wraps">
        {at ? (
          <Running at={at} repeats={options.repeats} stop={stop} />
        ) : (
          <>
            <Button onClick={() => void run(options)}>Run the simulated stand</Button>
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
            <Button variant="default" onClick={byHand}>
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

interface RunningProps {
  at: StandAt;
  repeats: number;
  stop: () => void;
}
function Running({ at, repeats, stop }: RunningProps) {
  const units = useWorkspace((w) => w.units);
  return (
    <>
      <progress
        value={at.run * at.steps + at.step}
        max={at.steps * repeats}
        aria-label="Progress of the run"
      />
      <span className="num note">
        run {at.run + 1}, {formatQuantity(at.throttle, 'percent', units)}, scale{' '}
        {formatQuantity(at.thrust, 'force', units)}
      </span>
      <Button color="red" onClick={stop}>
        Stop the motor
      </Button>
    </>
  );
}

/** Two readings to be typed over: at rest, and full. */
const FIRST_ROWS: BenchRow[] = [
  [0, 0, 16.8, 0, 0, 0, null],
  [10, 1, 16, 10, 8, 700, null],
];

function firstTable(bench: BenchBody) {
  return { name: `table ${bench.runs.length + 1}`, kind: 'table' as const, rows: FIRST_ROWS };
}
