'use client';
/** One word of the trade, as search has found it. */
import { Modal } from '@mantine/core';
import { useWorkspace } from '../workspace/useWorkspace';
import { TermWords } from './Glossed';
import { termOf } from './terms';

export function TermDialog() {
  const asked = useWorkspace((w) => w.term);
  const setTerm = useWorkspace((w) => w.setTerm);
  const term = asked === null ? undefined : termOf(asked);
  return (
    <Modal
      opened={term !== undefined}
      onClose={() => setTerm(null)}
      size="xs"
      title={term?.short ? `${term.name} (${term.short})` : term?.name}
    >
      {term && <TermWords term={term} />}
    </Modal>
  );
}
