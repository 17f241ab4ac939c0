'use client';
/** The forward drive of the design and where its parts stand in the document. */
import { DESIGN } from '../../parts/paths';
import { forwardAt, powertrainOf, type PathChange } from '@skiametra/core/design';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

const inDocument = (path: string | null) => (path === null ? null : `${DESIGN}.${path}`);

export function useDrive() {
  const design = useWorkspace((w) => w.content.document.design);
  const edit = useWorkspace((w) => w.edit);
  const at = forwardAt(design);
  return {
    design,
    power: powertrainOf(design),
    /** paths of the parts; null where there is no such part */
    at: at && {
      drive: `${DESIGN}.${at.drive}`,
      pack: inDocument(at.pack),
      second: inDocument(at.second),
      thruster: inDocument(at.thruster),
    },
    /** one undo step of changes under the design; the refusal where it is refused */
    apply: (changes: readonly PathChange[], label?: string) =>
      edit({
        type: 'apply',
        changes: changes.map((c) => ({ ...c, path: `${DESIGN}.${c.path}` })),
        ...(label ? { label } : {}),
      }),
  };
}
