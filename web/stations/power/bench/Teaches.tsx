'use client';
/** What a bench test teaches the prediction. */
import { ShownTable, type ShownColumn } from '../../../parts/table';
import { Button } from '@mantine/core';
import { entryOf } from '@skiametra/core/assess';
import type { BenchBody } from '@skiametra/core/design';
import { isOwnDrive, type BenchResult } from '@skiametra/core/trial';
import { formatQuantity } from '@skiametra/core/units';
import { Readings } from '../../../parts/marks/Reading';
import { useCalibrate } from '../../../parts/useCalibrate';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

/** What the readings say: tare, repeats, claims, factors; the model brought up to date. */
export function Teaches({ result, bench }: { result: BenchResult; bench: BenchBody }) {
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
        {f && <Factors fit={f} />}
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
                  path: `document.design.swaps.${swaps![index]!.id}.data.correction`,
                  value: result.correction,
                })
              }
            >
              Keep {result.correction.thrust.toFixed(2)} and {result.correction.torque.toFixed(2)} with{' '}
              {swaps![index]!.label}
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
        <Steps steps={result.steps} />
      </section>
    </>
  );
}

function Factors({ fit }: { fit: NonNullable<BenchResult['fit']> }) {
  const rows = [
    { name: 'thrust at its rpm', factor: fit.thrust, sigma: fit.sigma[0] },
    { name: 'propeller torque', factor: fit.torque, sigma: fit.sigma[1] },
    { name: 'electrical loss', factor: fit.loss, sigma: fit.sigma[2] },
  ];
  return (
    <ShownTable
      name="Measured over computed"
      rows={rows}
      rowKey={(r) => r.name}
      columns={[
        { key: 'name', label: 'Measured over computed', fixed: true, value: (r) => r.name },
        {
          key: 'factor',
          label: 'Factor',
          kind: 'ratio',
          value: (r) => r.factor,
          render: (r) => <span className="measuredtext">{r.factor.toFixed(3)}</span>,
        },
        { key: 'sigma', label: '±', numeric: true, value: (r) => r.sigma, render: (r) => r.sigma.toFixed(3) },
      ]}
    />
  );
}

type Step = BenchResult['steps'][number];

const STEPS: ShownColumn<Step>[] = [
  { key: 'throttle', label: 'Throttle', fixed: true, kind: 'percent', value: (s) => s.throttle },
  { key: 'volts', label: 'Volts', kind: 'voltage', value: (s) => s.volts },
  { key: 'amps', label: 'Amps', kind: 'current', value: (s) => s.amps },
  { key: 'thrust', label: 'Thrust', kind: 'force', value: (s) => s.thrust },
  { key: 'omega', label: 'Rotation', kind: 'rotation', value: (s) => s.omega },
  { key: 'grams', label: 'Thrust for a watt [g]', kind: 'ratio', value: (s) => s.gramsPerWatt },
  {
    key: 'apart',
    label: 'Runs apart',
    kind: 'percent',
    value: (s) => (s.runs > 1 ? s.spread : null),
  },
];

function Steps({ steps }: { steps: readonly Step[] }) {
  return (
    <ShownTable name="Steps of the bench" rows={steps} rowKey={(s) => String(s.throttle)} columns={STEPS} />
  );
}
