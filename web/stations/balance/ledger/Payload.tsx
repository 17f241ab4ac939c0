'use client';
/** What is carried, and the states of the aircraft with it. */
import { DocField, IntField } from '../../../parts/fields/DocField';
import { DocTable, freshId } from '../../../parts/table';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { DESIGN } from '../../../parts/paths';

const PAYLOAD = `${DESIGN}.payload`;

export function Payload() {
  const states = useWorkspace((w) => w.content.document.design.states);
  return (
    <section className="block">
      <h2>Payload and states</h2>
      <div className="fields three">
        <DocField label="One unit" path={`${PAYLOAD}.unitMass`} />
        <DocField label="First row, x" path={`${PAYLOAD}.x`} />
        <DocField label="Row spacing" path={`${PAYLOAD}.pitch`} />
        <IntField label="Per row" path={`${PAYLOAD}.perRow`} />
        <DocField label="Height, z" path={`${PAYLOAD}.z`} />
      </div>
      <details className="mt8">
        <summary className="dim clickable">
          {states.length} {states.length === 1 ? 'state' : 'states'}
        </summary>
        <DocTable
          path={`${DESIGN}.states`}
          caption="States"
          least={1}
          ordered
          addLabel="Add a state"
          newRow={() => ({ id: freshId('state', states), name: 'New state', count: 1 })}
          columns={[
            { key: 'name', label: 'Name', cell: { type: 'text' } },
            { key: 'count', label: 'Units', cell: { type: 'quantity' }, width: 80 },
          ]}
        />
      </details>
    </section>
  );
}
