'use client';
/** Factors that bring the prediction to the measurements. */
import { Button, Group } from '@mantine/core';
import { useMemo } from 'react';
import { FACTORS } from '@skiametra/core/design';
import { formatMeasured } from '@skiametra/core/units';
import { useCalibrate } from '../../parts/useCalibrate';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { Lessons } from './Lessons';

/** Factors that bear on any number of this aircraft: those of a wing say nothing of what has none. */
function useReached(): readonly boolean[] {
  const ledger = useWorkspace((w) => w.ledger);
  return useMemo(
    () => FACTORS.map((_, i) => !ledger || ledger.entries.some((e) => e.shares[i]! > 0)),
    [ledger],
  );
}

/** Factors before and after the measurements: the band narrows. */
export function Calibration() {
  const document = useWorkspace((w) => w.content.document);
  const { flown, fit, busy, failed, result, forget } = useCalibrate();
  const units = useWorkspace((w) => w.units);
  const cal = document.calibration;
  const reached = useReached();
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
              if (!reached[i]) return null;
              const sd = Math.sqrt(Math.max(0, cal.covariance[i]![i]!));
              const X = (v: number) => Math.max(0, Math.min(160, ((v - 0.6) / 0.8) * 160));
              return (
                <tr key={f.id} title={f.meaning} data-factor={f.id}>
                  <td>{f.name}</td>
                  <td className="num dim oneline">{formatMeasured(f.mean, f.sd, 'ratio', units)}</td>
                  <td className="num oneline">{formatMeasured(cal.mean[i]!, sd, 'ratio', units)}</td>
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
                        x={X(cal.mean[i]! - sd)}
                        width={Math.max(1, X(cal.mean[i]! + sd) - X(cal.mean[i]! - sd))}
                        y={4}
                        height={8}
                        fill="var(--predicted-soft)"
                      />
                      <path
                        d={`M ${X(cal.mean[i]!)} 3 l 4 5 l -4 5 l -4 -5 z`}
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
      {result?.status === 'updated' && <Lessons result={result} />}
    </section>
  );
}
