'use client';
/** Which numbers the strip shows: found by their names, put in order by dragging or with the arrow keys. */
import { Button, Modal, NativeSelect, Select } from '@mantine/core';
import { useState } from 'react';
import { quantityDef } from '@skiametra/core/assess';
import { quantityGroups } from '../quantityList';
import { SortableList } from '../SortableList';
import { useWorkspace } from '../workspace/useWorkspace';

const MOST = 8;

/** “Stall speed, full”. */
function useNames(): (watched: string) => string {
  const states = useWorkspace((w) => w.content.document.design.states);
  return (watched) => {
    const [id = '', state = ''] = watched.split('@'),
      where = states.find((l) => l.id === state);
    return `${quantityDef(id)?.name ?? id}${where ? `, ${where.name}` : ''}`;
  };
}

export function StripChooser({ opened, onClose }: { opened: boolean; onClose: () => void }) {
  const watch = useWorkspace((w) => w.content.document.brief.watch);
  const edit = useWorkspace((w) => w.edit);
  const name = useNames();
  const set = (next: readonly string[]) =>
    edit({ type: 'set', path: 'document.brief.watch', value: [...next] });
  return (
    <Modal opened={opened} onClose={onClose} title="Numbers on the strip" size="lg">
      <div className="stack">
        <SortableList
          label="Numbers on the strip, in order"
          items={watch.map((id) => ({ id, name: name(id) }))}
          onOrder={set}
          onRemove={(id) => set(watch.filter((k) => k !== id))}
        />
        {watch.length < MOST ? (
          <AddNumber onAdd={(k) => !watch.includes(k) && set([...watch, k])} />
        ) : (
          <p className="dim">Eight is the most the strip shows: take one away to choose another.</p>
        )}
      </div>
    </Modal>
  );
}

function AddNumber({ onAdd }: { onAdd: (watched: string) => void }) {
  const states = useWorkspace((w) => w.content.document.design.states);
  const inView = useWorkspace((w) => w.loading);
  const [id, setId] = useState<string | null>(null);
  const [state, setState] = useState(inView);
  const whole = id !== null && quantityDef(id)?.scope === 'all';
  return (
    <div className="row end">
      <Select
        className="grow"
        label="A number to add"
        placeholder="type a part of its name"
        searchable
        nothingFoundMessage="No number by that name."
        data={quantityGroups()}
        value={id}
        onChange={setId}
      />
      <NativeSelect
        label="In state"
        disabled={whole}
        value={state}
        onChange={(e) => setState(e.currentTarget.value)}
        data={states.map((l) => ({ value: l.id, label: l.name }))}
      />
      <Button
        disabled={id === null}
        onClick={() => {
          onAdd(`${id!}@${whole ? 'all' : state}`);
          setId(null);
        }}
      >
        Add
      </Button>
    </div>
  );
}
