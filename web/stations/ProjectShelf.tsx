'use client';
import { Button, FileButton, Group, Modal, NativeSelect, TextInput } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { createProjectAction, deleteProjectAction, importProjectAction } from '../server/actions';
import type { ProjectCard } from '../server/store';
import { Silhouette } from '../parts/Silhouette';

const MAX_FILE = 40_000_000;

/** All projects on this machine. */
export function ProjectShelf({ projects, person }: { projects: ProjectCard[]; person: string }) {
  const router = useRouter();
  const [making, setMaking] = useState(false);
  const [error, setError] = useState<string | null>(null);
  const open = (r: { projectId: number; versionId: number }) =>
    router.push(`/projects/${r.projectId}/versions/${r.versionId}/brief`);
  const read = async (file: File | null) => {
    if (!file) return;
    setError(null);
    if (file.size > MAX_FILE) {
      setError(`${file.name} is larger than 40 MB; nothing was opened.`);
      return;
    }
    try {
      const r = await importProjectAction(await file.text());
      if (r.status === 'refused') setError(`${file.name} was not opened. ${r.message}`);
      else open(r.value);
    } catch {
      setError('The server did not answer; nothing was opened.');
    }
  };
  const remove = async (p: ProjectCard) => {
    if (
      !window.confirm(
        `Delete ${p.name} with its ${p.versions} version(s) and ${p.testCount} test(s)? Export it first if in doubt.`,
      )
    )
      return;
    await deleteProjectAction(p.id);
    notifications.show({ message: `${p.name} was deleted.` });
    router.refresh();
  };
  return (
    <main style={{ maxWidth: 1040, margin: '0 auto', padding: '34px 20px' }}>
      <header
        style={{
          display: 'flex',
          alignItems: 'baseline',
          gap: 16,
          borderBottom: '1px solid var(--hair)',
          paddingBottom: 12,
        }}
      >
        <h1 style={{ margin: 0, fontSize: '1.5rem' }}>Skiametra</h1>
        <span className="dim">
          Asked, predicted, measured: size an aircraft, fly it, make the next one better.
        </span>
        <span className="dim" style={{ marginLeft: 'auto' }}>
          {person}
        </span>
      </header>
      <Group mt={18} mb={8}>
        <Button onClick={() => setMaking(true)}>New project</Button>
        <FileButton
          onChange={(f) => void read(f)}
          accept=".json,application/json"
          inputProps={{ 'aria-label': 'Project file' }}
        >
          {(props) => (
            <Button variant="default" {...props}>
              Open a project file
            </Button>
          )}
        </FileButton>
      </Group>
      {error && (
        <div role="alert" className="caution" style={{ borderLeftColor: 'var(--stop)' }}>
          {error}
        </div>
      )}
      {projects.length === 0 && <p className="dim">No projects yet. Begin one, or open a project file.</p>}
      {projects.map((p) => (
        <article
          key={p.id}
          style={{
            display: 'flex',
            gap: 22,
            alignItems: 'center',
            padding: '18px 0',
            borderBottom: '1px solid var(--hair)',
          }}
        >
          <div style={{ width: 150, display: 'flex', justifyContent: 'center' }}>
            {p.newest && <Silhouette design={p.newest.document.design} size={140} />}
          </div>
          <div style={{ flex: 1 }}>
            {p.newest ? (
              <Link
                href={`/projects/${p.id}/versions/${p.newest.id}/brief`}
                style={{ fontSize: '1.15rem', fontWeight: 650 }}
              >
                {p.name} · {p.aircraft}
              </Link>
            ) : (
              <b>{p.name}</b>
            )}
            <div className="dim" style={{ maxWidth: 560 }}>
              {p.newest?.document.brief.purpose}
            </div>
            <div className="dim" style={{ marginTop: 4, fontSize: '0.78rem' }}>
              {p.versions} version{p.versions === 1 ? '' : 's'}, {p.testCount} test
              {p.testCount === 1 ? '' : 's'}
              {p.demo ? ' · demo' : ''}
            </div>
          </div>
          <Button variant="default" component="a" href={`/api/projects/${p.id}/export`}>
            Export
          </Button>
          <Button variant="subtle" color="red" onClick={() => void remove(p)}>
            Delete
          </Button>
        </article>
      ))}
      <NewProject opened={making} onClose={() => setMaking(false)} onMade={open} />
    </main>
  );
}

function NewProject({
  opened,
  onClose,
  onMade,
}: {
  opened: boolean;
  onClose: () => void;
  onMade: (r: { projectId: number; versionId: number }) => void;
}) {
  const [name, setName] = useState('');
  const [aircraft, setAircraft] = useState('');
  const [from, setFrom] = useState<'plain' | 'bittern'>('plain');
  const [error, setError] = useState<string | null>(null);
  const submit = async () => {
    const r = await createProjectAction(name, aircraft, from).catch(() => ({
      status: 'refused' as const,
      message: 'The server did not answer; nothing was made.',
    }));
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
          onChange={(e) => setFrom(e.currentTarget.value as 'plain' | 'bittern')}
          data={[
            { value: 'plain', label: 'A plain electric aircraft, rectangular wing' },
            { value: 'bittern', label: 'A copy of the Bittern with its brief' },
          ]}
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
