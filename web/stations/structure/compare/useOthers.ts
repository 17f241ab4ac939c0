'use client';
/** What other ways of building the wing bear in the state in view, by their ids; remade after every assessment. */
import type { StructureReport } from '@skiametra/core/views';
import { useLiveReport } from '../../../parts/useLiveReport';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { reportStructure } from '../../../workers/coreClient';

export function useOthers(): ReadonlyMap<string, StructureReport> {
  const others = useWorkspace((w) => w.content.document.design.structure.others),
    key = (others ?? []).map((o) => o.id).join(' ');
  const { report } = useLiveReport(`others ${key}`, async ({ document, loading }) => {
    const found = new Map<string, StructureReport>();
    for (const { id, members } of document.design.structure.others ?? []) {
      const { design } = document,
        built = { ...document, design: { ...design, structure: { ...design.structure, members } } };
      const { wing } = await reportStructure({ document: built, loading });
      if (wing) found.set(id, wing);
    }
    return found;
  });
  return report ?? new Map();
}
