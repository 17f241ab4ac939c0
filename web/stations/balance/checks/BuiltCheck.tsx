'use client';
/** As built against as drawn: measured twist, halves on the scale, and where it will roll. */
import { Button } from '@mantine/core';
import type { LayoutReport } from '@skiametra/core/views';
import type { Design, Surface } from '@skiametra/core/design';
import { DESIGN } from '../../../parts/paths';
import { DocTable, type DocColumn } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { Halves } from './Halves';
import { WarpWords } from './WarpWords';

const SIDES = ['left', 'right'] as const;

export function BuiltCheck({ warp }: { warp: LayoutReport['warp'] }) {
  const design = useWorkspace((w) => w.content.document.design);
  const edit = useWorkspace((w) => w.edit);
  const wing = design.surfaces.find((s) => s.role === 'wing');
  if (!wing) return null;
  const atTip = (side: (typeof SIDES)[number]) => tipAsDrawn(wing, side);
  return (
    <section className="block">
      <h2>As built against as drawn</h2>
      {design.built ? (
        <>
          <DocTable
            path={`${DESIGN}.built`}
            caption="Measured twist"
            addLabel="Add a station"
            newRow={() => atTip('right')}
            columns={twistColumns(design)}
          />
          <Halves />
        </>
      ) : (
        <Button
          size="xs"
          variant="light"
          onClick={() => edit({ type: 'set', path: `${DESIGN}.built`, value: SIDES.map(atTip) })}
        >
          Enter measured twist
        </Button>
      )}
      {warp && <WarpWords warp={warp} />}
    </section>
  );
}

/** The tip of a side as it is drawn: what a measurement is first held against. */
function tipAsDrawn(wing: Surface, side: 'left' | 'right') {
  const tip = wing.stations.at(-1);
  return { surface: wing.id, side, y: tip?.y ?? 0, twist: (tip?.twist ?? 0) + wing.incidence };
}

function twistColumns(design: Design): DocColumn[] {
  return [
    surfaceColumn(design),
    {
      key: 'side',
      label: 'Side',
      cell: { type: 'choice', options: SIDES.map((value) => ({ value, label: value })) },
    },
    { key: 'y', label: 'Out', cell: { type: 'quantity' } },
    { key: 'twist', label: 'Incidence there', cell: { type: 'quantity' }, width: 90 },
  ];
}

/** Which surface a row speaks of. */
export function surfaceColumn({ surfaces }: Design): DocColumn {
  const lifting = surfaces.filter((s) => s.role !== 'fin');
  return {
    key: 'surface',
    label: 'Surface',
    cell: { type: 'choice', options: lifting.map((s) => ({ value: s.id, label: s.name })) },
  };
}
