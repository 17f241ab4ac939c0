'use client';
/** The halves of a surface on the scale: one heavier than the other rolls it. */
import { Button } from '@mantine/core';
import { DESIGN } from '../../../parts/paths';
import { DocTable } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { surfaceColumn } from './BuiltCheck';

const HALVES = `${DESIGN}.halves`;

export function Halves() {
  const design = useWorkspace((w) => w.content.document.design);
  const edit = useWorkspace((w) => w.edit);
  const wing = design.surfaces.find((s) => s.role === 'wing');
  const begin = () => edit({ type: 'set', path: HALVES, value: [{ surface: wing?.id, left: 0, right: 0 }] });
  return (
    <details>
      <summary className="dim clickable">Halves on the scale</summary>
      {design.halves ? (
        <DocTable
          path={HALVES}
          caption="Mass of the halves"
          columns={[
            surfaceColumn(design),
            { key: 'left', label: 'Left', cell: { type: 'quantity' } },
            { key: 'right', label: 'Right', cell: { type: 'quantity' } },
          ]}
        />
      ) : (
        <Button size="compact-xs" variant="subtle" onClick={begin}>
          Weigh the wing’s halves
        </Button>
      )}
    </details>
  );
}
