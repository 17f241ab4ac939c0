'use client';
/** Body, what sticks out of it, what it stands on, rotors and what some layouts have besides. */
import { CellSelect } from '../../parts/fields/CellSelect';
import { Button, Checkbox } from '@mantine/core';
import { powertrainOf } from '@skiametra/core/design';
import { ThrusterAxes, ThrusterPlaces } from '../../parts/ThrusterTable';
import { DocField } from '../../parts/fields/DocField';
import { DESIGN } from '../../parts/paths';
import { DocTable, freshId } from '../../parts/table';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { SOURCES } from './SurfaceEditor';

export function BodyEditor() {
  const body = useWorkspace((w) => w.content.document.design.body);
  const dragItems = useWorkspace((w) => w.content.document.design.dragItems);
  const wheels = useWorkspace((w) => w.content.document.design.wheels);
  const rotors = useWorkspace((w) => powertrainOf(w.content.document.design).rotors);
  const driven = useWorkspace((w) => w.content.document.design.drives.length > 0);
  const edit = useWorkspace((w) => w.edit);
  return (
    <div className="stack">
      <section className="block">
        <h2>
          Fuselage stations <span className="right dim">elliptic, nose to tail</span>
        </h2>
        <DocTable
          path={`${DESIGN}.body`}
          caption="Fuselage stations"
          least={2}
          addLabel="Add a station behind"
          newRow={() => {
            const l = body[body.length - 1]!;
            return { ...l, x: l.x + 0.1 };
          }}
          columns={[
            { key: 'x', label: 'From datum', cell: { type: 'quantity' } },
            { key: 'width', label: 'Width', cell: { type: 'quantity' } },
            { key: 'height', label: 'Height', cell: { type: 'quantity' } },
            { key: 'z', label: 'Middle, z', cell: { type: 'quantity' } },
          ]}
        />
      </section>
      <section className="block">
        <h2>
          What sticks out <span className="right dim">as drag areas</span>
        </h2>
        <DocTable
          path={`${DESIGN}.dragItems`}
          caption="Drag items"
          addLabel="Add an item"
          newRow={() => ({ id: freshId('drag', dragItems), name: 'Item', dragArea: 0.0005, note: '' })}
          columns={[
            { key: 'name', label: 'Item', cell: { type: 'text' } },
            { key: 'dragArea', label: 'Drag area', cell: { type: 'quantity' }, width: 100 },
            {
              key: 'from',
              label: 'Found from',
              width: 92,
              cell: { type: 'shown', render: (r, i) => <DragFrom row={r} index={i} /> },
            },
            ...(rotors
              ? [
                  {
                    key: 'part',
                    label: 'Stopped rotors',
                    width: 64,
                    cell: {
                      type: 'shown' as const,
                      render: (_: unknown, i: number) => <IsRotors index={i} />,
                    },
                  },
                ]
              : []),
          ]}
        />
      </section>
      <section className="block">
        <h2>
          Wheels, legs, skids <span className="right dim">z of the axle, or lowest point</span>
        </h2>
        {wheels === undefined ? (
          <Button
            size="xs"
            variant="light"
            onClick={() =>
              edit({
                type: 'set',
                path: `${DESIGN}.wheels`,
                value: [
                  { id: 'left', name: 'Left wheel', x: 0.35, y: -0.15, z: -0.15 },
                  { id: 'right', name: 'Right wheel', x: 0.35, y: 0.15, z: -0.15 },
                ],
              })
            }
          >
            Say where it stands
          </Button>
        ) : (
          <DocTable
            path={`${DESIGN}.wheels`}
            caption="Wheels"
            addLabel="Add a wheel"
            newRow={() => ({ id: freshId('wheel', wheels), name: 'Wheel', x: 0.3, y: 0, z: -0.15 })}
            columns={[
              { key: 'name', label: 'Wheel', cell: { type: 'text' } },
              { key: 'x', label: 'x', cell: { type: 'quantity' } },
              { key: 'y', label: 'y', cell: { type: 'quantity' } },
              { key: 'z', label: 'z', cell: { type: 'quantity' } },
              {
                key: 'diameter',
                label: 'Diameter',
                cell: { type: 'quantity', optional: true },
              },
              { key: 'retracts', label: 'Goes in', width: 48, cell: { type: 'check' } },
            ]}
          />
        )}
      </section>
      {driven && (
        <section className="block">
          <h2>Rotors and propellers</h2>
          <ThrusterPlaces />
          <ThrusterAxes />
        </section>
      )}
    </div>
  );
}

/** Ticks the line that is the drag of lift rotors standing still: it is told apart from the rest when they turn. */
function IsRotors({ index }: { index: number }) {
  const row = useWorkspace((w) => w.content.document.design.dragItems[index]);
  const edit = useWorkspace((w) => w.edit);
  if (!row) return null;
  const { part, ...plain } = row;
  return (
    <Checkbox
      aria-label={`${row.name} is the drag of stopped lift rotors`}
      checked={part?.kind === 'lift rotor'}
      onChange={(e) =>
        edit({
          type: 'set',
          path: `${DESIGN}.dragItems.${index}`,
          value: e.currentTarget.checked ? { ...plain, part: { kind: 'lift rotor' } } : plain,
        })
      }
    />
  );
}

/** Where a drag area comes from: typed, or sizes of a known kind of part, whose fields open below. */
function DragFrom({ row, index }: { row: Record<string, unknown>; index: number }) {
  const edit = useWorkspace((w) => w.edit);
  const from = row.from as { kind: string } | undefined;
  const fields = from
    ? Object.keys(from).filter((k) =>
        ['length', 'diameter', 'chord', 'thickness', 'width', 'frontal', 'count'].includes(k),
      )
    : [];
  const P = `${DESIGN}.dragItems.${index}`;
  const set = (kind: string) => {
    const { from: _f, ...rest } = row;
    edit({
      type: 'set',
      path: P,
      value: SOURCES[kind]!.value ? { ...rest, from: SOURCES[kind]!.value } : rest,
    });
  };
  return (
    <div>
      <CellSelect
        label={`How the drag of row ${index + 1} is found`}
        value={from?.kind ?? 'typed'}
        options={Object.entries(SOURCES).map(([value, { label }]) => ({ value, label }))}
        onChange={set}
      />
      {fields.map((k) => (
        <DocField key={k} label={k} path={`${P}.from.${k}`} />
      ))}
    </div>
  );
}
