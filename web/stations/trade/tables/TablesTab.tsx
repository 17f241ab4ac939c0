'use client';
/** Weighted tables for what cannot be computed. */
import { Button, NativeSelect } from '@mantine/core';
import type { DecisionTable } from '@skiametra/core/design';
import { useState } from 'react';
import { freshId } from '../../../parts/table';
import { useTrade } from '../useTrade';
import { TableEditor } from './TableEditor';

/** What is usually weighed first: teams begin with these and change them. */
const firstTable = (id: string): DecisionTable => ({
  id,
  name: 'Layouts',
  note: '',
  criteria: ['Easy to build', 'Low drag', 'Reliable', 'Light'].map((name, i) => ({
    id: `c${i + 1}`,
    name,
    weight: 1,
    must: null,
  })),
  options: ['One way', 'Another way'].map((name, i) => ({
    id: `o${i + 1}`,
    name,
    version: '',
    rejected: '',
    marks: [],
  })),
});

export function TablesTab() {
  const { tables, putTables } = useTrade(),
    [chosen, choose] = useState<string | null>(null);
  const table = tables.find((t) => t.id === chosen) ?? tables[0] ?? null;
  const begin = () => {
    const made = firstTable(freshId('table', tables));
    putTables([...tables, made]);
    choose(made.id);
  };
  if (!table)
    return (
      <section className="block stack">
        <h2>Tables</h2>
        <p className="atmost620 flush">
          What cannot be computed is weighed: how easily it is built, what it is known to do, what breaks.
          Options against criteria with weights; the table says who wins, by how little, and which weight
          turns it.
        </p>
        <div>
          <Button onClick={begin}>Begin a table</Button>
        </div>
      </section>
    );
  return (
    <div className="stack">
      <div className="line gap8 wraps">
        <NativeSelect
          aria-label="Table"
          value={table.id}
          onChange={(e) => choose(e.currentTarget.value)}
          data={tables.map((t) => ({ value: t.id, label: t.name || 'Table' }))}
        />
        <Button variant="subtle" onClick={begin}>
          Another
        </Button>
      </div>
      <TableEditor
        key={table.id}
        table={table}
        onChange={(next) => putTables(tables.map((t) => (t.id === next.id ? next : t)))}
        onRemove={() => putTables(tables.filter((t) => t.id !== table.id))}
      />
    </div>
  );
}
