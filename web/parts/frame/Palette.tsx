'use client';
/** One keyboard palette for stations, states, numbers and commands. */
import { Spotlight, type SpotlightActionData } from '@mantine/spotlight';
import { useMantineColorScheme } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import { useRouter } from 'next/navigation';
import { setUnitsAction } from '../../server/actions';
import { called } from '../called';
import { TERMS } from '../glossary/terms';
import { quantityOptions } from '../quantityList';
import { useWorkspace, useWorkspaceStore } from '../workspace/useWorkspace';
import { STATIONS } from './stationList';
import { wayTo } from './useAddress';

/** What can be done from anywhere. */
function useCommands(): SpotlightActionData[] {
  const router = useRouter();
  const store = useWorkspaceStore();
  const { setColorScheme } = useMantineColorScheme();
  const project = useWorkspace((w) => w.project);
  const units = (u: 'metric' | 'imperial') => () => {
    store.getState().setUnits(u);
    void called(setUnitsAction(u));
  };
  const go = (station: string) => () => router.push(wayTo(store.getState(), station));
  return [
    { id: 'undo', label: 'Undo', description: 'Ctrl+Z', onClick: () => store.getState().undo() },
    { id: 'redo', label: 'Redo', description: 'Ctrl+Shift+Z', onClick: () => store.getState().redo() },
    { id: 'metric', label: 'Units: metric', onClick: units('metric') },
    { id: 'imperial', label: 'Units: imperial', onClick: units('imperial') },
    { id: 'light', label: 'Light paper', onClick: () => setColorScheme('light') },
    { id: 'dark', label: 'Dark paper', onClick: () => setColorScheme('dark') },
    { id: 'system', label: 'Paper as the system has it', onClick: () => setColorScheme('auto') },
    { id: 'print', label: 'Print this station', onClick: () => setTimeout(() => window.print(), 300) },
    {
      id: 'export',
      label: 'Export the project',
      description: 'One zip with logs and their files',
      onClick: () => window.location.assign(`/api/projects/${project.id}/export`),
    },
    {
      id: 'version',
      label: 'Make a new version',
      description: 'On Refine: with the reason for it',
      onClick: go('refine'),
    },
    { id: 'test', label: 'Record a test', description: 'Open a log, type a record', onClick: go('test') },
    {
      id: 'all',
      label: 'All projects',
      description: 'Open, import, back up',
      onClick: () => router.push('/'),
    },
  ];
}

function usePlaces(): SpotlightActionData[] {
  const router = useRouter();
  const store = useWorkspaceStore();
  const states = useWorkspace((w) => w.content.document.design.states);
  return [
    ...STATIONS.map((s) => ({
      id: `go-${s.id}`,
      label: `Go to ${s.name}`,
      onClick: () => router.push(wayTo(store.getState(), s.id)),
    })),
    ...states.map((l) => ({
      id: `load-${l.id}`,
      label: `Look at state: ${l.name}`,
      onClick: () => store.getState().setLoading(l.id),
    })),
    ...quantityOptions.map((q) => ({
      id: `why-${q.value}`,
      label: q.label,
      description: 'Why this number',
      onClick: () => store.getState().setWhy({ id: q.value, state: store.getState().loading }),
    })),
    // numbers by that name come first
    ...TERMS.map((t) => ({
      id: `term-${t.id}`,
      label: t.short ? `What is ${t.short}? ${t.name}` : `What is it? ${t.name}`,
      description: t.says,
      onClick: () => store.getState().setTerm(t.id),
    })),
  ];
}

export function Palette() {
  const commands = useCommands();
  const places = usePlaces();
  const undo = useWorkspace((w) => w.undo);
  const redo = useWorkspace((w) => w.redo);
  useHotkeys(
    [
      ['mod+Z', undo],
      ['mod+shift+Z', redo],
      ['mod+Y', redo],
    ],
    ['INPUT', 'TEXTAREA', 'SELECT'],
  );
  return (
    <Spotlight
      actions={[...places, ...commands]}
      nothingFound="Nothing by that name."
      limit={12}
      shortcut="mod + K"
      searchProps={{
        placeholder: 'A station, a number, a state, a command',
        'aria-label': 'Search and commands',
      }}
    />
  );
}
