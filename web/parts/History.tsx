'use client';
/** Earlier saves of the open version and of its tests: who, when, what changed; compared, named, put back. */
import { DateWords } from './dates/DateWords';
import { momentInWords } from './dates/dateFormat';
import { ActionIcon, Button, Drawer, NativeSelect, TextInput } from '@mantine/core';
import { IconHistory } from '@tabler/icons-react';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { upgradeTest, type DesignDocument, type TestBody } from '@skiametra/core/design';
import { createVersionAction, nameSaveAction } from '../server/actions';
import type { Save } from '../server/history';
import { called } from './called';
import { saveWords } from './saveWords';
import { wayTo } from './frame/useAddress';
import { useWorkspace, useWorkspaceStore } from './workspace/useWorkspace';

type Content = DesignDocument | TestBody;
const FIRST = 40,
  ALL = 400;
/** Earlier saves, read anew when asked for; null while they are read, a sentence when they cannot be. */
function useSaves(address: string, most: number, stamp: number): Save<Content>[] | null | string {
  const [saves, setSaves] = useState<Save<Content>[] | null | string>(null);
  useEffect(() => {
    let here = true;
    setSaves(null);
    fetch(`${address}/history?most=${most}`)
      .then((r) => r.json() as Promise<{ value?: Save<Content>[]; message?: string }>)
      .then(
        (r) => here && setSaves(r.value ?? r.message ?? 'The server gave no reason.'),
        () => here && setSaves('The server does not answer.'),
      );
    return () => {
      here = false;
    };
  }, [address, most, stamp]);
  return saves;
}

interface RowProps {
  save: Save<Content>;
  before: Content | null;
  actions: React.ReactNode;
  onName: ((name: string) => void) | null;
}

function SaveRow({ save, before, actions, onName }: RowProps) {
  const units = useWorkspace((w) => w.units);
  const lines = save.content && before ? saveWords(before, save.content, units) : [];
  return (
    <li className="save">
      <div>
        <b>
          <DateWords iso={String(save.savedAt)} withTime />
        </b>{' '}
        <span className="dim">{save.by ?? 'unknown'}</span>
      </div>
      {save.content === null && <div className="stoptext">What is stored cannot be read any more.</div>}
      {before === null && save.content && <div className="dim">The oldest that is kept.</div>}
      {lines.map((l) => (
        <div key={l} className="dim">
          {l}
        </div>
      ))}
      <div className="saveactions">
        {save.content && actions}
        {onName && (
          <TextInput
            size="xs"
            aria-label={`Name of the save of ${momentInWords(save.savedAt)}`}
            placeholder="name it to keep it"
            defaultValue={save.name ?? ''}
            maxLength={80}
            onBlur={(e) => {
              if (e.currentTarget.value.trim() !== (save.name ?? '')) onName(e.currentTarget.value.trim());
            }}
            onKeyDown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
          />
        )}
      </div>
    </li>
  );
}

function VersionSaves({ most, onDone }: { most: number; onDone: () => void }) {
  const versionId = useWorkspace((w) => w.versionId);
  const project = useWorkspace((w) => w.project);
  const name = useWorkspace((w) => w.versions.find((v) => v.id === w.versionId)!.name);
  const lookBack = useWorkspace((w) => w.lookBack);
  const store = useWorkspaceStore();
  const router = useRouter();
  const [stamp, setStamp] = useState(0);
  const [trouble, setTrouble] = useState<string | null>(null);
  const saves = useSaves(`/api/versions/${versionId}`, most, stamp);
  if (!Array.isArray(saves)) return <p className="dim">{saves ?? 'Reading …'}</p>;
  const at = (id: number, station: string) =>
    router.push(`/projects/${project.id}/versions/${id}/${station}`);
  const compare = (s: Save<Content>) => {
    const id = lookBack(s.revision, `save of ${momentInWords(s.savedAt)}`, s.content as DesignDocument);
    onDone();
    // the address brings it: chosen before, it would be written into the address that is left
    router.push(wayTo({ ...store.getState(), againstId: id }, 'refine'));
  };
  const restore = async (s: Save<Content>) => {
    const made = `${name}, ${momentInWords(s.savedAt)}`.slice(0, 80);
    const why = `As it stood on ${momentInWords(s.savedAt)}.`;
    const r = await called(createVersionAction(versionId, made, why, s.content));
    if (r.status === 'ok') at(r.value, 'brief');
    else setTrouble(r.message);
  };
  const call = async (s: Save<Content>, text: string) => {
    const r = await called(nameSaveAction(versionId, s.revision, text));
    if (r.status === 'ok') setStamp((n) => n + 1);
    else setTrouble(r.message);
  };
  if (saves.length === 0) return <p className="dim">Nothing was changed yet: there is no earlier save.</p>;
  return (
    <>
      {trouble && <p className="stoptext">{trouble}</p>}
      <ul className="saves">
        {saves.map((s, i) => (
          <SaveRow
            key={s.revision}
            save={s}
            before={saves[i + 1]?.content ?? null}
            onName={(text) => void call(s, text)}
            actions={
              <>
                <Button size="compact-xs" variant="default" onClick={() => compare(s)}>
                  Compare
                </Button>
                <Button size="compact-xs" variant="default" onClick={() => void restore(s)}>
                  Open as a new version
                </Button>
              </>
            }
          />
        ))}
      </ul>
    </>
  );
}

function TestSaves({ testId, most, onDone }: { testId: string; most: number; onDone: () => void }) {
  const edit = useWorkspace((w) => w.edit);
  const body = useWorkspace((w) => w.content.tests.find((t) => t.id === testId)?.body);
  const [trouble, setTrouble] = useState<string | null>(null);
  const saves = useSaves(`/api/tests/${testId}`, most, 0);
  if (!Array.isArray(saves)) return <p className="dim">{saves ?? 'Reading …'}</p>;
  if (saves.length === 0) return <p className="dim">Nothing of it was changed yet.</p>;
  const putBack = (s: Save<Content>) => {
    const earlier = upgradeTest(s.content) as TestBody;
    // a save from before logs were files names none: those that are there stay
    const value = { ...earlier, logs: earlier.logs ?? body?.logs ?? [] };
    const refused = edit({ type: 'set', path: `tests.${testId}.body`, value });
    if (refused) setTrouble(refused);
    else onDone();
  };
  return (
    <>
      {trouble && <p className="stoptext">{trouble}</p>}
      <ul className="saves">
        {saves.map((s, i) => (
          <SaveRow
            key={s.revision}
            save={s}
            before={saves[i + 1]?.content ?? null}
            onName={null}
            actions={
              <Button size="compact-xs" variant="default" onClick={() => putBack(s)}>
                Put it back
              </Button>
            }
          />
        ))}
      </ul>
    </>
  );
}

function History({ opened, onClose }: { opened: boolean; onClose: () => void }) {
  const all = useWorkspace((w) => w.content.tests);
  const versionId = useWorkspace((w) => w.versionId);
  const tests = all.filter((t) => t.versionId === versionId);
  const [of, setOf] = useState('');
  const [most, setMost] = useState(FIRST);
  const onDone = () => onClose();
  return (
    <Drawer opened={opened} onClose={onClose} position="right" title={<b>Earlier saves</b>}>
      <NativeSelect
        aria-label="Whose saves"
        value={of}
        onChange={(e) => setOf(e.currentTarget.value)}
        data={[
          { value: '', label: 'This version' },
          ...tests.map((t) => ({ value: t.id, label: `Test: ${t.body.card.title || 'untitled'}` })),
        ]}
      />
      <p className="dim">
        All of today are kept, of the last week one an hour, before that one a day; those with a name for
        ever.
      </p>
      {of === '' ? (
        <VersionSaves most={most} onDone={onDone} />
      ) : (
        <TestSaves key={of} testId={of} most={most} onDone={onDone} />
      )}
      {most === FIRST && (
        <Button size="compact-sm" variant="subtle" onClick={() => setMost(ALL)}>
          Older ones too
        </Button>
      )}
    </Drawer>
  );
}

/** Opens the earlier saves. */
export function HistoryButton() {
  const [opened, setOpened] = useState(false);
  return (
    <>
      <ActionIcon aria-label="Earlier saves" title="Earlier saves" onClick={() => setOpened(true)}>
        <IconHistory size={17} />
      </ActionIcon>
      <History opened={opened} onClose={() => setOpened(false)} />
    </>
  );
}
