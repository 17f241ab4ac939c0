'use client';
/** Work that is not on the server: why, where it is now, and what can be done. Nothing is shown while all is saved. */
import { Button, Group } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { useState } from 'react';
import { writeProjectJson } from '@skiametra/formats';
import { restoreProjectAction } from '../server/actions';
import { called } from './called';
import { mergedWords } from './ConflictDialog';
import { give } from './give';
import { momentInWords } from './dates/dateFormat';
import { memoryFile } from './workspace/memoryFile';
import type { Orphan } from './workspace/restore';
import { useWorkspace, useWorkspaceStore } from './workspace/useWorkspace';

/** The open project as a file, straight from this page. */
function SaveAsFile({ orphan }: { orphan?: Orphan }) {
  const store = useWorkspaceStore();
  const save = () => {
    const w = store.getState();
    const stem = w.project.name.replace(/[^A-Za-z0-9]+/g, '-').toLowerCase();
    // what cannot be read as a document goes out as it was found
    const text = orphan ? `${JSON.stringify(orphan.draft, null, 2)}\n` : writeProjectJson(memoryFile(w));
    give(`${stem}${orphan ? '-unsaved' : ''}.skiametra.json`, 'application/json', text);
  };
  return (
    <Button size="compact-sm" variant="default" onClick={save}>
      Save it as a file
    </Button>
  );
}

function OrphanRow({ orphan }: { orphan: Orphan }) {
  const take = useWorkspace((w) => w.takeOrphan);
  const drop = useWorkspace((w) => w.dropOrphan);
  const [sure, setSure] = useState(false);
  const takeIn = () => {
    const r = take(orphan);
    notifications.show(
      r.status === 'refused'
        ? { title: 'Not taken in', color: 'red', message: r.message }
        : { title: 'Taken in', message: mergedWords(r.conflicts) },
    );
  };
  return (
    <div className="trouble" role="alert">
      <p>
        Work of {momentInWords(orphan.draft.at)} was not saved before its tab was closed.
        {orphan.refused !== null && ` It cannot be taken in: ${orphan.refused}`}
      </p>
      <Group gap="xs">
        {orphan.refused === null && (
          <Button size="compact-sm" onClick={takeIn}>
            Take it in
          </Button>
        )}
        <SaveAsFile orphan={orphan} />
        <Button
          size="compact-sm"
          variant="subtle"
          color={sure ? 'red' : 'gray'}
          onClick={() => (sure ? drop(orphan) : setSure(true))}
        >
          {sure ? 'Really throw it away' : 'Throw it away'}
        </Button>
      </Group>
    </div>
  );
}

/** The project was deleted elsewhere: bring it back, or keep a file. */
function Gone({ message }: { message: string }) {
  const project = useWorkspace((w) => w.project);
  const cameBack = useWorkspace((w) => w.cameBack);
  const [failed, setFailed] = useState<string | null>(null);
  const back = async () => {
    const r = await called(restoreProjectAction(project.id));
    if (r.status === 'ok') cameBack();
    else setFailed(r.message);
  };
  return (
    <div className="trouble" role="alert">
      <p>
        {message} It can be brought back for 30 days after it was deleted; what you changed is still here.
      </p>
      {failed && <p className="stoptext">{failed}</p>}
      <Group gap="xs">
        <Button size="compact-sm" onClick={() => void back()}>
          Bring the project back
        </Button>
        <SaveAsFile />
      </Group>
    </div>
  );
}

export function SaveTrouble() {
  const s = useWorkspace((w) => w.saveState);
  const kept = useWorkspace((w) => w.kept);
  const orphans = useWorkspace((w) => w.orphans);
  return (
    <>
      {s.status === 'gone' && <Gone message={s.message} />}
      {s.status === 'refused' && (
        <div className="trouble" role="alert">
          <p>{s.message}</p>
          <SaveAsFile />
        </div>
      )}
      {kept === 'failed' && s.status !== 'saved' && s.status !== 'saving' && s.status !== 'waiting' && (
        <div className="trouble" role="alert">
          <p>
            The server has not taken the last changes, and this browser has no room to keep them. Leave this
            page open, or save a file now.
          </p>
          <SaveAsFile />
        </div>
      )}
      {orphans.map((o) => (
        <OrphanRow key={o.draft.tab} orphan={o} />
      ))}
    </>
  );
}
