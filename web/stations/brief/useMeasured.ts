'use client';
import type { Measurement } from '@skiametra/core/design';
import { useMemo } from 'react';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

/** What tests of this version measured, the oldest test first. */
export function useMeasured(): Measurement[] {
  const tests = useWorkspace((w) => w.content.tests),
    versionId = useWorkspace((w) => w.versionId);
  return useMemo(
    () => tests.filter((t) => t.versionId === versionId).flatMap((t) => t.body.measurements),
    [tests, versionId],
  );
}
