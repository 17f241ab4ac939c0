'use client';
/** The state in view, and how it is changed. */
import { DESIGN } from '../../../parts/paths';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';

export function useStateInView() {
  const states = useWorkspace((w) => w.content.document.design.states);
  const loading = useWorkspace((w) => w.loading);
  const edit = useWorkspace((w) => w.edit);
  const index = states.findIndex((l) => l.id === loading),
    state = states[index],
    path = `${DESIGN}.states.${index}`;
  /** a part that is undefined is taken out */
  const change = (parts: Record<string, unknown>) => {
    const next = Object.entries({ ...state, ...parts }).filter(([, value]) => value !== undefined);
    return edit({ type: 'set', path, value: Object.fromEntries(next) });
  };
  return { state, path, change };
}
