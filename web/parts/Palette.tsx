'use client';
import { Spotlight, type SpotlightActionData } from '@mantine/spotlight';
import { useHotkeys } from '@mantine/hooks';
import { useRouter } from 'next/navigation';
import { QUANTITIES } from '@skiametra/core/assess';
import { STATIONS } from './stationList';
import { useWorkspace } from './workspace/useWorkspace';

/** One keyboard palette for stations, numbers and commands. */
export function Palette() {
  const router = useRouter();
  const base = useWorkspace((w) => `/projects/${w.project.id}/versions/${w.versionId}`);
  const loading = useWorkspace((w) => w.loading);
  const states = useWorkspace((w) => w.content.document.design.states);
  const setWhy = useWorkspace((w) => w.setWhy);
  const setLoading = useWorkspace((w) => w.setLoading);
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
  const actions: SpotlightActionData[] = [
    ...STATIONS.map((s) => ({
      id: `go-${s.id}`,
      label: `Go to ${s.name}`,
      onClick: () => router.push(`${base}/${s.id}`),
    })),
    ...states.map((l) => ({
      id: `load-${l.id}`,
      label: `Look at state: ${l.name}`,
      onClick: () => setLoading(l.id),
    })),
    ...Object.values(QUANTITIES)
      .filter((q) => q.id !== 'points')
      .map((q) => ({
        id: `why-${q.id}`,
        label: q.name,
        description: 'Why this number',
        onClick: () => setWhy({ id: q.id, state: loading }),
      })),
    { id: 'all', label: 'All projects', onClick: () => router.push('/') },
  ];
  return (
    <Spotlight
      actions={actions}
      nothingFound="Nothing by that name."
      limit={12}
      shortcut="mod + K"
      searchProps={{ placeholder: 'A station, a number, a state', 'aria-label': 'Search and commands' }}
    />
  );
}
