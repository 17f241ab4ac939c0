'use client';
/** What a bench test teaches the prediction. */
import { Button } from '@mantine/core';
import { entryOf } from '@skiametra/core/assess';
import type { BenchBody } from '@skiametra/core/design';
import { isOwnDrive, type BenchResult } from '@skiametra/core/trial';
import { formatNumber, formatQuantity } from '@skiametra/core/units';
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
