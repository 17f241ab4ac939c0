'use client';
import { Button, FileButton, Group } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Silhouette } from '../../parts/Silhouette';
import { called } from '../../parts/called';
import { deleteProjectAction, restoreProjectAction } from '../../server/actions';
import type { DeletedProject, ProjectCard } from '../../server/projects';
import { Deleted } from './Deleted';
import { NewProject } from './NewProject';
import { MAX_FILE, openFile } from './openFile';

/** All projects on this machine. */
export function ProjectShelf({
  projects,
  deleted,
  person,
  beginnings,
}: {
  projects: ProjectCard[];
  deleted: DeletedProject[];
  person: string;
  beginnings: { value: string; label: string }[];
}) {
  const router = useRouter();
  const [making, setMaking] = useState(false);
  const [error, setError] = useState<string | null>(null);
  const open = (r: { projectId: number; versionId: number }) =>
    router.push(`/projects/${r.projectId}/versions/${r.versionId}/brief`);
  const read = async (file: File | null) => {
    if (!file) return;
    setError(null);
    if (file.size > MAX_FILE) {
      setError(`${file.name} is larger than ${MAX_FILE / 1e6} MB; nothing was opened.`);
      return;
    }
    try {
      const r = await openFile(file);
      if (r.status === 'refused') setError(`${file.name} was not opened. ${r.message}`);
      else open(r.value);
    } catch {
      setError('The server did not answer; nothing was opened.');
    }
  };
  const bringBack = async (p: { id: number; name: string }) => {
    const r = await called(restoreProjectAction(p.id));
    notifications.show({ message: r.status === 'ok' ? `${p.name} is back.` : r.message });
    router.refresh();
  };
  const remove = async (p: ProjectCard) => {
    const r = await called(deleteProjectAction(p.id));
    if (r.status === 'ok')
      notifications.show({
        autoClose: 12_000,
        message: (
          <Group justify="space-between">
            {p.name} was deleted.
            <Button size="compact-sm" variant="default" onClick={() => void bringBack(p)}>
              Undo
            </Button>
          </Group>
        ),
      });
    else setError(r.message);
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
        <h1 className="flush title">Skiametra</h1>
        <span className="dim">
          Asked, predicted, measured: size an aircraft, fly it, make the next one better.
        </span>
        <span className="dim atend">{person}</span>
      </header>
      <Group mt={18} mb={8}>
        <Button onClick={() => setMaking(true)}>New project</Button>
        <FileButton
          onChange={(f) => void read(f)}
          accept=".zip,.json,application/zip,application/json"
          inputProps={{ 'aria-label': 'Project file' }}
        >
          {(props) => (
            <Button variant="default" {...props}>
              Open a project file
            </Button>
          )}
        </FileButton>
        <Button
          variant="subtle"
          component="a"
          href="/api/backup"
          title="All projects, with every earlier save and file; put back with npm run restore"
        >
          Back up everything
        </Button>
      </Group>
      {error && (
        <div role="alert" className="caution stopedge">
          {error}
        </div>
      )}
      {projects.length === 0 && <p className="dim">No projects yet. Begin one, or open a project file.</p>}
      {projects.map((p) => (
        <article key={p.id} className="line gap16 mid pad16 ruled">
          <div className="w150 line centred">
            {p.newest?.face && <Silhouette design={p.newest.face} size={140} />}
          </div>
          <div className="grow">
            {p.newest ? (
              <Link href={`/projects/${p.id}/versions/${p.newest.id}/brief`} className="heading strong">
                {p.name} · {p.aircraft}
              </Link>
            ) : (
              <b>{p.name}</b>
            )}
            <div className="dim atmost560">
              {p.newest && !p.newest.face
                ? 'The newest version cannot be read; the earlier ones may be.'
                : p.newest?.purpose}
            </div>
            <div className="dim mt4 note">
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
      <Deleted list={deleted} onBack={(p) => void bringBack(p)} />
      <NewProject beginnings={beginnings} opened={making} onClose={() => setMaking(false)} onMade={open} />
    </main>
  );
}
