'use client';
/** A new project, from a demo or from nothing. */
import { Button, Group, Modal, NativeSelect, TextInput } from '@mantine/core';
import { useState } from 'react';
import { called } from '../../parts/called';
import { createProjectAction } from '../../server/actions';

export function NewProject({
  opened,
  onClose,
  onMade,
  beginnings,
}: {
  /** what it may begin from */ beginnings: { value: string; label: string }[];
  opened: boolean;
  onClose: () => void;
  onMade: (r: { projectId: number; versionId: number }) => void;
}) {
  const [name, setName] = useState('');
  const [aircraft, setAircraft] = useState('');
  const [from, setFrom] = useState('plain');
  const [error, setError] = useState<string | null>(null);
  const submit = async () => {
    const r = await called(createProjectAction(name, aircraft, from));
    if (r.status === 'refused') setError(r.message);
    else onMade(r.value);
  };
  return (
    <Modal opened={opened} onClose={onClose} title={<b>New project</b>} centered>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          void submit();
        }}
        className="stack"
      >
        <TextInput
          label="Project"
          placeholder="contest, season or idea"
          value={name}
          onChange={(e) => setName(e.currentTarget.value)}
          data-autofocus
        />
        <TextInput
          label="Aircraft"
          placeholder="its name"
          value={aircraft}
          onChange={(e) => setAircraft(e.currentTarget.value)}
        />
        <NativeSelect
          label="Begin from"
          value={from}
          onChange={(e) => setFrom(e.currentTarget.value)}
          data={beginnings}
        />
        {error && (
          <div role="alert" className="stoptext">
            {error}
          </div>
        )}
        <Group>
          <Button type="submit">Make it</Button>
        </Group>
      </form>
    </Modal>
  );
}
