'use client';
import { ActionIcon, Button, Menu, Select, TextInput, useMantineColorScheme } from '@mantine/core';
import {
  IconArrowBackUp,
  IconArrowForwardUp,
  IconDownload,
  IconMoon,
  IconSearch,
  IconSun,
  IconUser,
} from '@tabler/icons-react';
import { spotlight } from '@mantine/spotlight';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { setUnitsAction, signInAction } from '../server/actions';
import { called } from './called';
import { HistoryButton } from './History';
import { Silhouette } from './Silhouette';
import { useWorkspace } from './workspace/useWorkspace';

/** Where the work is: the word may say “kept” only when it is. */
function SaveWord() {
  const s = useWorkspace((w) => w.saveState);
  const kept = useWorkspace((w) => w.kept);
  const restored = useWorkspace((w) => w.restored);
  const bad = s.status === 'offline' || s.status === 'refused' || s.status === 'gone';
  const here =
    kept === 'kept' ? 'Kept in this browser' : kept === 'failed' ? 'Not kept anywhere' : 'Keeping …';
  const words = {
    saved: restored ? 'Saved (unsaved work restored)' : 'Saved',
    saving: 'Saving …',
    waiting: 'Saving …',
    offline: here,
    refused: here,
    gone: here,
    conflict: 'Changed elsewhere',
    'test-conflict': 'Changed elsewhere',
  } as const;
  return (
    <span
      role="status"
      aria-live="polite"
      data-save={s.status}
      data-kept={kept}
      className={bad ? 'saveword bad' : 'saveword'}
      title={'message' in s ? s.message : undefined}
    >
      {words[s.status]}
    </span>
  );
}

/** Project, version with its face, compared version, undo, units, search, person. */
export function TopLine() {
  const project = useWorkspace((w) => w.project);
  const versions = useWorkspace((w) => w.versions);
  const versionId = useWorkspace((w) => w.versionId);
  const design = useWorkspace((w) => w.content.document.design);
  const againstId = useWorkspace((w) => w.againstId);
  const setAgainst = useWorkspace((w) => w.setAgainst);
  const undo = useWorkspace((w) => w.undo);
  const redo = useWorkspace((w) => w.redo);
  const canUndo = useWorkspace((w) => w.past.length > 0);
  const canRedo = useWorkspace((w) => w.future.length > 0);
  const router = useRouter();
  const { colorScheme, toggleColorScheme } = useMantineColorScheme();
  return (
    <header className="topline">
      <Link
        href="/"
        style={{ fontWeight: 700, color: 'var(--ink)', textDecoration: 'none' }}
        title="All projects"
      >
        Skiametra
      </Link>
      <span className="dim">{project.name}</span>
      <Silhouette design={design} />
      <Select
        aria-label="Version"
        w={132}
        value={String(versionId)}
        allowDeselect={false}
        data={versions.filter((v) => v.id > 0).map((v) => ({ value: String(v.id), label: v.name }))}
        onChange={(v) =>
          v && router.push(`/projects/${project.id}/versions/${v}/${location.pathname.split('/').pop()}`)
        }
      />
      {versions.length > 1 && (
        <Select
          aria-label="Compared with"
          w={176}
          placeholder="compare with"
          clearable
          value={againstId === null ? null : String(againstId)}
          data={versions
            .filter((v) => v.id !== versionId)
            .map((v) => ({ value: String(v.id), label: `against ${v.name}` }))}
          onChange={(v) => setAgainst(v === null ? null : Number(v))}
        />
      )}
      <ActionIcon aria-label="Undo" title="Undo (Ctrl+Z)" disabled={!canUndo} onClick={undo}>
        <IconArrowBackUp size={17} />
      </ActionIcon>
      <ActionIcon aria-label="Redo" title="Redo (Ctrl+Shift+Z)" disabled={!canRedo} onClick={redo}>
        <IconArrowForwardUp size={17} />
      </ActionIcon>
      <SaveWord />
      <HistoryButton />
      <span style={{ marginLeft: 'auto' }} />
      <ActionIcon
        aria-label="Search and commands"
        title="Search and commands (Ctrl+K)"
        onClick={() => spotlight.open()}
      >
        <IconSearch size={17} />
      </ActionIcon>
      <ActionIcon
        component="a"
        href={`/api/projects/${project.id}/export`}
        aria-label="Export project"
        title="Export the project, its logs and their files as one zip"
      >
        <IconDownload size={17} />
      </ActionIcon>
      <ActionIcon aria-label="Light or dark" title="Light or dark" onClick={() => toggleColorScheme()}>
        {colorScheme === 'dark' ? <IconSun size={17} /> : <IconMoon size={17} />}
      </ActionIcon>
      <PersonMenu />
    </header>
  );
}

function PersonMenu() {
  const person = useWorkspace((w) => w.person);
  const people = useWorkspace((w) => w.people);
  const units = useWorkspace((w) => w.units);
  const setUnits = useWorkspace((w) => w.setUnits);
  const [name, setName] = useState('');
  const [error, setError] = useState<string | null>(null);
  const enter = async (who: string) => {
    const r = await called(signInAction(who));
    if (r.status === 'refused') setError(r.message);
    else location.reload();
  };
  const choose = (u: 'metric' | 'imperial') => {
    setUnits(u);
    void called(setUnitsAction(u));
  };
  return (
    <Menu width={230} position="bottom-end" closeOnItemClick={false}>
      <Menu.Target>
        <Button
          variant="subtle"
          color="gray"
          leftSection={<IconUser size={15} />}
          aria-label={`${person.name}, ${units} units`}
        >
          {person.name} · {units === 'metric' ? 'mm' : 'in'}
        </Button>
      </Menu.Target>
      <Menu.Dropdown>
        <Menu.Label>Units of {person.name}</Menu.Label>
        {(['metric', 'imperial'] as const).map((u) => (
          <Menu.Item key={u} onClick={() => choose(u)} rightSection={units === u ? '✓' : null}>
            {u === 'metric' ? 'Metric (mm, g, m/s)' : 'Imperial (in, oz, mph)'}
          </Menu.Item>
        ))}
        <Menu.Label>Who is working</Menu.Label>
        {people
          .filter((p) => p.id !== person.id)
          .map((p) => (
            <Menu.Item key={p.id} onClick={() => void enter(p.name)}>
              {p.name}
            </Menu.Item>
          ))}
        <form
          style={{ padding: '4px 10px 8px' }}
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
      </Menu.Dropdown>
    </Menu>
  );
}
