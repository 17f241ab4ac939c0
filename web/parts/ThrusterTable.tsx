'use client';
/** Where the drives push: places and axes of all thrusters. A place left empty is not known: counted, not drawn. */
import { powertrainOf, type Design } from '@skiametra/core/design';
import { Checkbox } from '@mantine/core';
import { DocField } from './fields/DocField';
import { DocTable, freshId, type DocColumn } from './table';
import { useWorkspace } from './workspace/useWorkspace';

const PATH = 'document.design.thrusters';
const place = (key: string): DocColumn => ({
  key,
  label: key,
  cell: { type: 'quantity', optional: 'null' },
  width: 54,
});
const SENSES = [
  { value: '', label: 'not said' },
  { value: 'right', label: 'right' },
  { value: 'left', label: 'left' },
];

/** One more like the last. */
function another({ thrusters, drives }: Design) {
  const last = thrusters[thrusters.length - 1],
    id = freshId('thruster', thrusters);
  if (last) return { ...last, id, name: 'Thruster' };
  return { id, name: 'Thruster', drive: drives[0]?.id ?? 'main', x: 0, y: 0, z: 0 };
}

export function ThrusterPlaces() {
  const design = useWorkspace((w) => w.content.document.design);
  return (
    <DocTable
      path={PATH}
      caption="Places of the thrusters"
      addLabel="Add a thruster"
      newRow={() => another(design)}
      columns={[
        { key: 'name', label: 'Thruster', cell: { type: 'text' }, width: 72 },
        ...['x', 'y', 'z'].map(place),
      ]}
    />
  );
}

/** Ticked where the shaft swings up in flight, from straight ahead to straight up at first. */
function Tilts({ index }: { index: number }) {
  const thruster = useWorkspace((w) => w.content.document.design.thrusters[index]);
  const edit = useWorkspace((w) => w.edit);
  if (!thruster) return null;
  const { tilt, ...fixed } = thruster;
  const change = (tilts: boolean) => {
    const value = tilts ? { ...fixed, tilt: tilt ?? { from: 0, to: Math.PI / 2 } } : fixed;
    edit({ type: 'set', path: `${PATH}.${index}`, value });
  };
  return (
    <Checkbox
      aria-label={`${thruster.name} tilts in flight`}
      checked={tilt !== undefined}
      onChange={(e) => change(e.currentTarget.checked)}
    />
  );
}

/** One end of what a tilting shaft reaches; nothing for one that is fixed. */
const reach = (key: 'tilt.from' | 'tilt.to', label: string): DocColumn => ({
  key,
  label,
  width: 62,
  cell: {
    type: 'shown',
    render: (row, index) =>
      row.tilt === undefined ? null : (
        <DocField label={`${label}, row ${index + 1}`} hideLabel hideUnit path={`${PATH}.${index}.${key}`} />
      ),
  },
});

/** Which drive turns each, which way it points and turns, how large it is drawn. */
export function ThrusterAxes() {
  const design = useWorkspace((w) => w.content.document.design);
  const { lift } = powertrainOf(design);
  const columns: DocColumn[] = [
    { key: 'name', label: 'Thruster', cell: { type: 'text' } },
    {
      key: 'drive',
      label: 'Drive',
      width: 58,
      cell: { type: 'choice', options: design.drives.map((s) => ({ value: s.id, label: s.name })) },
    },
    { key: 'down', label: 'Down', cell: { type: 'quantity', optional: true }, width: 62 },
    { key: 'turns', label: 'Turns', cell: { type: 'choice', options: SENSES }, width: 72 },
    {
      key: 'tilt',
      label: 'Tilts',
      width: 40,
      cell: { type: 'shown', render: (_, i) => <Tilts index={i} /> },
    },
    ...(design.thrusters.some((t) => t.tilt) ? [reach('tilt.from', 'From'), reach('tilt.to', 'To')] : []),
    { key: 'diameter', label: 'Across', cell: { type: 'quantity', optional: true }, width: 66 },
  ];
  // with a drive described its thrust is computed, under Power
  const thrust: DocColumn = { key: 'maxThrust', label: 'Thrust', cell: { type: 'quantity', optional: true } };
  return <DocTable path={PATH} caption="Thrusters" columns={lift ? columns : [...columns, thrust]} />;
}
