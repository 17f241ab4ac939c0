'use client';
/** Where the drives push: places and axes of all thrusters. A place left empty is not known: counted, not drawn. */
import { powertrainOf } from '@skiametra/core/design';
import { SheetTable, freshId, type Column } from './SheetTable';
import { useWorkspace } from './workspace/useWorkspace';

const D = 'document.design';
const place = (key: string, label: string): Column => ({
  key,
  label,
  cell: { type: 'quantity', optional: 'null' },
});
const SENSES = [
  { value: '', label: 'not said' },
  { value: 'right', label: 'right' },
  { value: 'left', label: 'left' },
];

export function ThrusterTable() {
  const design = useWorkspace((w) => w.content.document.design);
  const { lift } = powertrainOf(design),
    { drives, thrusters } = design;
  return (
    <SheetTable
      path={`${D}.thrusters`}
      caption="Thrusters"
      addLabel="Add a thruster"
      newRow={() => {
        const last = thrusters[thrusters.length - 1],
          drive = last?.drive ?? drives[0]?.id ?? 'main';
        const id = freshId('thruster', thrusters);
        return last ? { ...last, id, name: 'Thruster' } : { id, name: 'Thruster', drive, x: 0, y: 0, z: 0 };
      }}
      columns={[
        { key: 'name', label: 'Thruster', cell: { type: 'text' }, width: 92 },
        {
          key: 'drive',
          label: 'Drive',
          width: 64,
          cell: { type: 'choice', options: drives.map((s) => ({ value: s.id, label: s.name })) },
        },
        place('x', 'x'),
        place('y', 'y'),
        place('z', 'z'),
        { key: 'down', label: 'Down', cell: { type: 'quantity', optional: true }, width: 56 },
        { key: 'turns', label: 'Turns', cell: { type: 'choice', options: SENSES }, width: 64 },
        {
          key: 'diameter',
          label: 'Across',
          cell: { type: 'quantity', optional: true },
        },
        // with a drive described its thrust is computed, under Power
        ...(lift
          ? []
          : [
              {
                key: 'maxThrust',
                label: 'Thrust',
                cell: { type: 'quantity' as const, optional: true as const },
              },
            ]),
      ]}
    />
  );
}
