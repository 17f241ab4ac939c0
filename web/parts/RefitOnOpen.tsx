'use client';
/** What tests had taught an earlier model is taught to this one, once, when the version is opened. */
import { useEffect, useRef } from 'react';
import { useCalibrate } from './useCalibrate';
import { useWorkspace } from './workspace/useWorkspace';

export function RefitOnOpen() {
  const stale = useWorkspace((w) => w.content.document.calibration.refit === true);
  const { fit, busy, failed, flown } = useCalibrate();
  const begun = useRef(false);
  const ready = stale && flown.length > 0;
  useEffect(() => {
    if (!ready || begun.current) return;
    begun.current = true;
    void fit();
  }, [ready, fit]);
  if (!stale) return null;
  return (
    <div className="caution notice" role="status">
      {failed
        ? failed
        : ready && busy
          ? 'The model has changed since these tests were weighed in; it is being fitted to them again.'
          : 'The model has changed since it was fitted, and its tests are not here: the numbers stand on the old fit.'}
    </div>
  );
}
