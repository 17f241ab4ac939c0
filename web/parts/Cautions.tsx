'use client';
/** The cautions of a place of work, above its first control, whatever part of it is selected. */
import { LAST_WORD, cautionsAt, type Place } from '@skiametra/core/trial';
import { useWorkspace } from './workspace/useWorkspace';

export function Cautions({ at, state }: { at: Place; state?: string }) {
  const document = useWorkspace((w) => w.content.document);
  const inView = useWorkspace((w) => w.loading);
  const loading = document.design.states.find((l) => l.id === (state ?? inView));
  const list = cautionsAt(at, document, loading);
  if (list.length === 0) return null;
  return (
    <div className="caution" role="note" aria-label="Cautions">
      {list.map((c) => (
        <div key={c.id}>{c.text}</div>
      ))}
      <div>{LAST_WORD}</div>
    </div>
  );
}
