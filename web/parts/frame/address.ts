/**
 * What of a screen lives in its address: the tab, the state in view and the compared version. Each is left out where it is
 * what the screen would show anyway.
 */
export interface Place {
  readonly tab: string | null;
  readonly state: string | null;
  /** id of a version, or none at all */ readonly against: string | null;
}

/** No version, where one would be compared by itself. */
export const NONE = 'none';

export function placeFrom(search: string): Place {
  const p = new URLSearchParams(search);
  return { tab: p.get('tab'), state: p.get('state'), against: p.get('against') };
}

/** `?state=full&tab=bench`; empty where everything is as usual. */
export function searchOf({ tab, state, against }: Place): string {
  const p = new URLSearchParams();
  if (tab) p.set('tab', tab);
  if (state) p.set('state', state);
  if (against) p.set('against', against);
  const text = p.toString();
  return text === '' ? '' : `?${text}`;
}

/** Compared version by its place in an address. @param usual compared where it says nothing */
export function versionOf(text: string | null, usual: number | null): number | null {
  if (text === null) return usual;
  return /^-?\d{1,9}$/.test(text) ? Number(text) : null;
}
