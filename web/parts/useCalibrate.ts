'use client';
/** The fit of the model to every test that was flown or benched, kept in the document. */
import { useMemo, useState } from 'react';
import { priorCalibration } from '@skiametra/core/design';
import { observedOf, type CalibrationResult } from '@skiametra/core/refine';
import { isOwnDrive } from '@skiametra/core/trial';
import { askCore } from '../workers/coreClient';
import { useWorkspace } from './workspace/useWorkspace';

export function useCalibrate() {
  const document = useWorkspace((w) => w.content.document);
  const tests = useWorkspace((w) => w.content.tests);
  const versions = useWorkspace((w) => w.versions);
  const versionId = useWorkspace((w) => w.versionId);
  const edit = useWorkspace((w) => w.edit);
  const [result, setResult] = useState<CalibrationResult | null>(null);
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState<string | null>(null);
  // a bench run of a propeller or motor that a version no longer flies says nothing of that version
  const flown = useMemo(
    () =>
      tests.filter((t) => {
        const design =
          t.versionId === versionId
            ? document.design
            : versions.find((v) => v.id === t.versionId)?.document.design;
        return (
          t.body.record.flown &&
          t.body.measurements.length > 0 &&
          (!t.body.bench || (design !== undefined && isOwnDrive(design, t.body.bench)))
        );
      }),
    [tests, document, versions, versionId],
  );
  const fit = async () => {
    setBusy(true);
    setFailed(null);
    try {
      const observed = flown.flatMap((t) =>
        observedOf(
          t.versionId === versionId ? document : versions.find((v) => v.id === t.versionId)!.document,
          t.body,
        ),
      );
      const r = await askCore({
        task: 'calibrate',
        prior: priorCalibration(),
        observed,
        from: flown.map((t) => t.id),
      });
      setResult(r);
      if (r.status === 'updated')
        setFailed(edit({ type: 'set', path: 'document.calibration', value: r.calibration }));
    } catch (e) {
      setFailed(`The fit stopped: ${e instanceof Error ? e.message : String(e)}.`);
    }
    setBusy(false);
  };
  return {
    flown,
    fit,
    busy,
    failed,
    result,
    forget: () => {
      edit({ type: 'set', path: 'document.calibration', value: priorCalibration() });
      setResult(null);
    },
  };
}
