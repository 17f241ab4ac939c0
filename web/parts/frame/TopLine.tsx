'use client';
/** Project, version with its face, compared version, undo, what is saved, search, person. */
import { planForm } from '../planForm';
import { ActionIcon, Menu, Select } from '@mantine/core';
import {
  IconArrowBackUp,
  IconArrowForwardUp,
  IconDots,
  IconDownload,
  IconPrinter,
  IconSearch,
} from '@tabler/icons-react';
import { spotlight } from '@mantine/spotlight';
import Link from 'next/link';
import { usePathname, useRouter } from 'next/navigation';
import { HistoryButton } from '../History';
import { Silhouette } from '../Silhouette';
import { useWorkspace } from '../workspace/useWorkspace';
import { PersonMenu } from './PersonMenu';
import { SaveWord } from './SaveWord';

export function TopLine() {
  const project = useWorkspace((w) => w.project);
  const design = useWorkspace((w) => w.content.document.design);
  return (
    <header className="topline">
      <Link href="/" className="brand" title="All projects">
        Skiametra
      </Link>
      <span className="dim roomy">{project.name}</span>
      <span className="roomy">
        <Silhouette design={planForm(design)} />
      </span>
      <VersionPick />
      <span className="roomy">
        <AgainstPick />
      </span>
      <UndoRedo />
      <SaveWord />
      <span className="roomy">
        <HistoryButton />
      </span>
      <span className="atend" />
      <ActionIcon
        aria-label="Search and commands"
        title="Search and commands (Ctrl+K)"
        onClick={() => spotlight.open()}
      >
        <IconSearch size={17} />
      </ActionIcon>
      <span className="roomy row">
        <ExportLink />
        <PrintButton />
      </span>
      <TightMenu />
      <PersonMenu />
    </header>
  );
}

function VersionPick() {
  const project = useWorkspace((w) => w.project);
  const versions = useWorkspace((w) => w.versions);
  const versionId = useWorkspace((w) => w.versionId);
  const router = useRouter();
  const station = usePathname().split('/').pop() ?? 'brief';
  return (
    <Select
      aria-label="Version"
      w={132}
      value={String(versionId)}
      allowDeselect={false}
      data={versions.filter((v) => v.id > 0).map((v) => ({ value: String(v.id), label: v.name }))}
      onChange={(v) => v && router.push(`/projects/${project.id}/versions/${v}/${station}`)}
    />
  );
}

function AgainstPick() {
  const versions = useWorkspace((w) => w.versions);
  const versionId = useWorkspace((w) => w.versionId);
  const againstId = useWorkspace((w) => w.againstId);
  const setAgainst = useWorkspace((w) => w.setAgainst);
  if (versions.length < 2) return null;
  return (
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
  );
}

function UndoRedo() {
  const undo = useWorkspace((w) => w.undo);
  const redo = useWorkspace((w) => w.redo);
  const canUndo = useWorkspace((w) => w.past.length > 0);
  const canRedo = useWorkspace((w) => w.future.length > 0);
  return (
    <>
      <ActionIcon aria-label="Undo" title="Undo (Ctrl+Z)" disabled={!canUndo} onClick={undo}>
        <IconArrowBackUp size={17} />
      </ActionIcon>
      <ActionIcon aria-label="Redo" title="Redo (Ctrl+Shift+Z)" disabled={!canRedo} onClick={redo}>
        <IconArrowForwardUp size={17} />
      </ActionIcon>
    </>
  );
}

function ExportLink() {
  const project = useWorkspace((w) => w.project);
  return (
    <ActionIcon
      component="a"
      href={`/api/projects/${project.id}/export`}
      aria-label="Export project"
      title="Export the project, its logs and their files as one zip"
    >
      <IconDownload size={17} />
    </ActionIcon>
  );
}

function PrintButton() {
  return (
    <ActionIcon aria-label="Print this station" title="Print this station" onClick={() => window.print()}>
      <IconPrinter size={17} />
    </ActionIcon>
  );
}

/** Where there is no room: what the line leaves out. */
function TightMenu() {
  const project = useWorkspace((w) => w.project);
  return (
    <span className="tight">
      <Menu width={240} position="bottom-end" closeOnItemClick={false}>
        <Menu.Target>
          <ActionIcon aria-label="More">
            <IconDots size={17} />
          </ActionIcon>
        </Menu.Target>
        <Menu.Dropdown>
          <Menu.Label>{project.name}</Menu.Label>
          <div className="menuitem">
            <AgainstPick />
          </div>
          <div className="menuitem row">
            <HistoryButton />
            <ExportLink />
            <PrintButton />
          </div>
        </Menu.Dropdown>
      </Menu>
    </span>
  );
}
