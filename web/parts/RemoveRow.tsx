'use client';
/** Takes an entry of a list away. Where others name it they are told first, and mended with it in one step. */
import { Button, Modal } from '@mantine/core';
import { useState } from 'react';
import { NAMED_LISTS, standIn, usesOf, withoutEntry, type NamedList } from '@skiametra/core/design';
import { useWorkspace } from './workspace/useWorkspace';

/** The list of entries that others may name which a path is; null for any other list. */
function namedList(path: string): NamedList | null {
  return NAMED_LISTS.find((l) => path === `document.design.${l}`) ?? null;
}

export interface Removal {
  list: NamedList;
  id: string;
  name: string;
  uses: string[];
}

/** @returns what stands against taking it away; null when nobody names it */
export function useRemoval(path: string): (row: Record<string, unknown>) => Removal | null {
  const content = useWorkspace((w) => w.content);
  const versionId = useWorkspace((w) => w.versionId);
  const list = namedList(path);
  return (row) => {
    if (!list || typeof row.id !== 'string') return null;
    const { id } = row;
    const cards = content.tests.filter(
      (t) => list === 'states' && t.versionId === versionId && t.body.card.state === id,
    ).length;
    const uses = [
      ...usesOf(content.document, list, id),
      ...(cards > 0 ? [`${cards} flight ${cards === 1 ? 'card' : 'cards'} (kept as written)`] : []),
    ];
    return uses.length > 0 ? { list, id, name: String(row.name ?? id), uses } : null;
  };
}

export function RemovalDialog({ removal, onClose }: { removal: Removal; onClose: () => void }) {
  const document = useWorkspace((w) => w.content.document);
  const edit = useWorkspace((w) => w.edit);
  const [error, setError] = useState<string | null>(null);
  const { list, id, name, uses } = removal;
  const next = withoutEntry(document, list, id),
    other = standIn(document, list, id);
  const standing = (document.design[list] as { id: string; name: string }[]).find(
    (e) => e.id === other,
  )?.name;
  const mended =
    list === 'states' || list === 'sections'
      ? `They will name “${standing}” instead.`
      : 'What was made of it, and what moves it, goes with it.';
  const remove = () => {
    const refused = next ? edit({ type: 'set', path: 'document', value: next }) : 'It is the last one.';
    setError(refused);
    if (!refused) onClose();
  };
  return (
    <Modal opened onClose={onClose} title={`Remove “${name}”?`} size="md">
      <p>It is named by {uses.join('; ')}.</p>
      <p>{next ? mended : 'It is the last of its list and stays.'} One undo brings everything back.</p>
      {error && (
        <p role="alert" className="stoptext">
          {error}
        </p>
      )}
      <Button disabled={!next} onClick={remove}>
        Remove it
      </Button>{' '}
      <Button variant="subtle" onClick={onClose}>
        Keep it
      </Button>
    </Modal>
  );
}
