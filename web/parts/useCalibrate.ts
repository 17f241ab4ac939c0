'use client';
/** The fit of the model to every test that was flown or benched, kept in the document. */
import { useMemo, useState } from 'react';
import { priorCalibration, type DesignDocument, type TestBody } from '@skiametra/core/design';
import { observedOf, type CalibrationResult, type Observed } from '@skiametra/core/refine';
import { isOwnDrive, isOwnWing } from '@skiametra/core/trial';
import { askCore } from '../workers/coreClient';
import { useWorkspace } from './workspace/useWorkspace';

/**
 * Whether a test teaches: a bench run of a propeller or motor that its version no longer flies says nothing of it, nor do
 * bags on a spar that it no longer has.
 */
function counts(body: TestBody, of: DesignDocument | null | undefined): boolean {
  const own = !body.bench || (of ? isOwnDrive(of.design, body.bench) : false);
  const wing = !body.load || (of ? isOwnWing(of.design, body.load) : false);
  return body.record.flown && body.measurements.length > 0 && own && wing;
}

export function useCalibrate() {
  const document = useWorkspace((w) => w.content.document);
  const tests = useWorkspace((w) => w.content.tests);
  const versions = useWorkspace((w) => w.versions);
  const versionId = useWorkspace((w) => w.versionId);
  const edit = useWorkspace((w) => w.edit);
  const [result, setResult] = useState<CalibrationResult | null>(null);
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState<string | null>(null);
  const documentOf = useWorkspace((w) => w.documentOf);
  const flown = useMemo(
    () =>
      tests.filter((t) =>
        counts(
          t.body,
          t.versionId === versionId ? document : versions.find((v) => v.id === t.versionId)?.document,
        ),
      ),
    [tests, document, versions, versionId],
  );
  const fit = async () => {
    setBusy(true);
    setFailed(null);
    try {
      const observed: Observed[] = [],
        from: string[] = [];
      for (const t of tests) {
        const of = t.versionId === versionId ? document : await documentOf(t.versionId);
        if (!of && t.body.record.flown) throw new Error(`a version that was flown cannot be read`);
        if (!of || !counts(t.body, of)) continue;
        observed.push(...observedOf(of, t.body).map((o) => ({ ...o, test: t.id })));
        from.push(t.id);
      }
      const r = await askCore({
        task: 'calibrate',
        prior: priorCalibration(),
        observed,
        from,
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
