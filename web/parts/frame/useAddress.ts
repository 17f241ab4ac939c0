'use client';
/** The address and the workspace keep step: what is chosen is written into it, and going back chooses again. */
import { usePathname, useSearchParams } from 'next/navigation';
import { useCallback, useEffect, useRef } from 'react';
import type { Workspace } from '../workspace/store';
import { useWorkspace } from '../workspace/useWorkspace';
import { NONE, placeFrom, searchOf, versionOf } from './address';

type Shown = Pick<Workspace, 'loading' | 'againstId' | 'usual'>;

/** What is in view, as an address has it. */
const stateOf = (w: Shown) => (w.loading === w.usual.state ? null : w.loading);
const againstOf = (w: Shown) => (w.againstId === w.usual.against ? null : String(w.againstId ?? NONE));

/** Keeps state in view and compared version in the address; drawn once, by the frame. */
export function useAddressKept(): void {
  const params = useSearchParams().toString();
  const state = useWorkspace(stateOf);
  const against = useWorkspace(againstOf);
  const usual = useWorkspace((w) => w.usual);
  const setLoading = useWorkspace((w) => w.setLoading);
  const setAgainst = useWorkspace((w) => w.setAgainst);
  const known = useRef(params);
  useEffect(() => {
    const there = placeFrom(params);
    if (params !== known.current) {
      // moved by going back, by a link: what it says is shown
      known.current = params;
      if (there.state !== state) setLoading(there.state ?? usual.state);
      if (there.against !== against) setAgainst(versionOf(there.against, usual.against));
      return;
    }
    const next = searchOf({ tab: there.tab, state, against });
    if (next.replace(/^\?/, '') === params) return;
    known.current = next.replace(/^\?/, '');
    window.history.pushState(null, '', `${window.location.pathname}${next}`);
  }, [params, state, against, usual, setLoading, setAgainst]);
}

/** A way to a station as it was left: its tab, with the state and the compared version that are in view. */
export function wayTo(w: Shown & Pick<Workspace, 'project' | 'versionId' | 'tabs'>, station: string): string {
  const place = { tab: w.tabs[station] ?? null, state: stateOf(w), against: againstOf(w) };
  return `/projects/${w.project.id}/versions/${w.versionId}/${station}${searchOf(place)}`;
}

/** A way to one tab of a station. */
export function useWayToTab(station: string, tab: string): string {
  const way = useWayTo()(station),
    [path, search = ''] = way.split('?'),
    params = new URLSearchParams(search);
  params.set('tab', tab);
  return `${path}?${params.toString()}`;
}

/** The same for links, which follow what is in view. */
export function useWayTo(): (station: string) => string {
  const project = useWorkspace((w) => w.project),
    versionId = useWorkspace((w) => w.versionId),
    tabs = useWorkspace((w) => w.tabs),
    loading = useWorkspace((w) => w.loading),
    againstId = useWorkspace((w) => w.againstId),
    usual = useWorkspace((w) => w.usual);
  return (station) => wayTo({ project, versionId, tabs, loading, againstId, usual }, station);
}

/** Inner tab of the station in view: in the address, and remembered when the station is left. The first is the usual one. */
export function useTab<T extends string>(tabs: readonly [T, ...T[]]): [T, (tab: string) => void] {
  const station = usePathname().split('/').pop() ?? '';
  const there = useSearchParams().get('tab');
  const remember = useWorkspace((w) => w.rememberTab);
  const tab = tabs.find((t) => t === there) ?? tabs[0];
  const usual = tabs[0];
  useEffect(() => remember(station, tab === usual ? null : tab), [remember, station, tab, usual]);
  const choose = useCallback(
    (next: string) => {
      const { pathname, search } = window.location,
        place = { ...placeFrom(search), tab: next === usual ? null : next };
      window.history.pushState(null, '', `${pathname}${searchOf(place)}`);
    },
    [usual],
  );
  return [tab, choose];
}
