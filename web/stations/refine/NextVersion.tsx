'use client';
/** The next version, with the change that was chosen. */
import type { Fix } from '@skiametra/core/assess';
import { applyFix } from '@skiametra/core/refine';
import { Sentence } from '../../parts/Sentence';
import { VersionDialog } from '../../parts/VersionDialog';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

interface Props {
  opened: boolean;
  onClose: () => void;
  fix: Fix | null;
  reason: string;
}

export function NextVersion({ opened, onClose, fix, reason }: Props) {
  const document = useWorkspace((w) => w.content.document),
    next = fix ? { ...document, design: applyFix(document.design, fix) } : document;
  return (
    <VersionDialog {...{ opened, onClose, reason }} document={next} station="refine">
      {fix && (
        <div>
          With: <Sentence of={fix.label} />.
        </div>
      )}
    </VersionDialog>
  );
}
