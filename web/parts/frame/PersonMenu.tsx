'use client';
/** Who is working, in which units, on light or dark paper. */
import { Button, Menu, SegmentedControl, TextInput, useMantineColorScheme } from '@mantine/core';
import { IconUser } from '@tabler/icons-react';
import { useState } from 'react';
import { setUnitsAction, signInAction } from '../../server/actions';
import { called } from '../called';
import { useWorkspace } from '../workspace/useWorkspace';

const PAPERS = [
  { value: 'light', label: 'Light' },
  { value: 'dark', label: 'Dark' },
  { value: 'auto', label: 'As the system' },
];

export function PersonMenu() {
  const person = useWorkspace((w) => w.person);
  const units = useWorkspace((w) => w.units);
  const setUnits = useWorkspace((w) => w.setUnits);
  const { colorScheme, setColorScheme } = useMantineColorScheme();
  const choose = (u: 'metric' | 'imperial') => {
    setUnits(u);
    void called(setUnitsAction(u));
  };
  return (
    <Menu width={250} position="bottom-end" closeOnItemClick={false}>
      <Menu.Target>
        <Button
          variant="subtle"
          color="gray"
          leftSection={<IconUser size={15} />}
          aria-label={`${person.name}, ${units === 'metric' ? 'mm' : 'in'}, ${units} units, paper, who is working`}
        >
          <span className="roomy">{person.name} · </span>
          {units === 'metric' ? 'mm' : 'in'}
        </Button>
      </Menu.Target>
      <Menu.Dropdown>
        <Menu.Label>Units of {person.name}</Menu.Label>
        {(['metric', 'imperial'] as const).map((u) => (
          <Menu.Item key={u} onClick={() => choose(u)} rightSection={units === u ? '✓' : null}>
            {u === 'metric' ? 'Metric (mm, g, m/s)' : 'Imperial (in, oz, mph)'}
          </Menu.Item>
        ))}
        <Menu.Label>Paper</Menu.Label>
        <div className="menuitem">
          <SegmentedControl
            fullWidth
            aria-label="Light or dark"
            value={colorScheme}
            onChange={(v) => setColorScheme(v as typeof colorScheme)}
            data={PAPERS}
          />
        </div>
        <Menu.Label>Who is working</Menu.Label>
        <OtherPeople />
      </Menu.Dropdown>
    </Menu>
  );
}

function OtherPeople() {
  const person = useWorkspace((w) => w.person);
  const people = useWorkspace((w) => w.people);
  const [name, setName] = useState('');
  const [error, setError] = useState<string | null>(null);
  const enter = async (who: string) => {
    const r = await called(signInAction(who));
    if (r.status === 'refused') setError(r.message);
    else location.reload();
  };
  return (
    <>
      {people
        .filter((p) => p.id !== person.id)
        .map((p) => (
          <Menu.Item key={p.id} onClick={() => void enter(p.name)}>
            {p.name}
          </Menu.Item>
        ))}
      <form
        className="menuitem"
        onSubmit={(e) => {
          e.preventDefault();
          void enter(name);
        }}
      >
        <TextInput
          aria-label="Another name"
          placeholder="another name, Enter"
          value={name}
          error={error}
          onChange={(e) => setName(e.currentTarget.value)}
          onKeyDown={(e) => e.stopPropagation()}
        />
      </form>
    </>
  );
}
