'use client';
/** What the computation has to say, in the person's units. */
import { sentence, type AnySaid } from '@skiametra/core/words';
import { useWorkspace } from './workspace/useWorkspace';

export function Sentence({ of }: { of: AnySaid }) {
  const units = useWorkspace((w) => w.units);
  return <>{sentence(of, units)}</>;
}

/** The same for what must be a plain text: labels of buttons, keys of lists. */
export function useSentence(): (of: AnySaid) => string {
  const units = useWorkspace((w) => w.units);
  return (of) => sentence(of, units);
}
