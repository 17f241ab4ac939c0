'use client';
/** CG of a weighing from two or three scales under known points. */
import { Button } from '@mantine/core';
import { cgFromScales } from '@skiametra/core/mass';
import { formatQuantity } from '@skiametra/core/units';
import { DocTable } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { DESIGN } from '../../../parts/paths';

/** Two scales as they stand at first: nearly all under the wheels [m, share]. */
const FIRST_SCALES = [
  { x: 0.335, y: 0, share: 0.9 },
  { x: 1.2, y: 0, share: 0.1 },
];

export function ScaleReadings({ index }: { index: number }) {
  const weighing = useWorkspace((q) => q.content.document.design.scale[index]);
  const edit = useWorkspace((q) => q.edit);
  const path = `${DESIGN}.scale.${index}`;
  if (!weighing) return null;
  const begin = () => {
    const value = FIRST_SCALES.map(({ share, ...at }) => ({ ...at, mass: weighing.mass * share }));
    edit({ type: 'set', path: `${path}.readings`, value });
  };
  if (!weighing.readings)
    return (
      <Button size="compact-xs" variant="subtle" onClick={begin}>
        row {index + 1}: it stood on two or three scales
      </Button>
    );
  return (
    <div>
      <DocTable
        path={`${path}.readings`}
        caption={`Scale readings of weighing ${index + 1}`}
        columns={[
          { key: 'x', label: 'Scale under x', cell: { type: 'quantity' } },
          { key: 'y', label: 'y', cell: { type: 'quantity' } },
          { key: 'mass', label: 'Reads', cell: { type: 'quantity' }, total: true },
        ]}
      />
      <ScaleCg readings={weighing.readings} path={path} />
    </div>
  );
}

type Readings = Parameters<typeof cgFromScales>[0];

function ScaleCg({ readings, path }: { readings: Readings; path: string }) {
  const units = useWorkspace((q) => q.units);
  const edit = useWorkspace((q) => q.edit);
  const cg = cgFromScales(readings);
  if (!cg) return null;
  const said = (m: number) => formatQuantity(m, 'length', units);
  const takeOver = () =>
    edit({
      type: 'apply',
      changes: [
        { path: `${path}.mass`, value: cg.mass },
        { path: `${path}.cgX`, value: cg.x },
      ],
    });
  return (
    <div>
      CG at <b className="num">{said(cg.x)}</b> from the nose, {said(Math.abs(cg.y))} to the{' '}
      {cg.y >= 0 ? 'right' : 'left'}; together {formatQuantity(cg.mass, 'allUpMass', units)}.{' '}
      <Button size="compact-xs" variant="light" onClick={takeOver}>
        Take it over
      </Button>
    </div>
  );
}
