'use client';
/** A next version: its name, why it is made, and the document that it begins with. */
import { Button, Modal, Textarea, TextInput } from '@mantine/core';
import type { DesignDocument } from '@skiametra/core/design';
import { useRouter } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import { createVersionAction } from '../server/actions';
import { called } from './called';
import { nextName } from './nextName';
import { useWorkspace } from './workspace/useWorkspace';

interface Props {
  opened: boolean;
  onClose: () => void;
  /** proposed words for why */ reason: string;
  document: DesignDocument;
  /** what is in it that was not */ children?: ReactNode;
  /** where it is opened */ station: string;
}

export function VersionDialog({ opened, onClose, reason, document, children, station }: Props) {
  const project = useWorkspace((w) => w.project);
  const versionId = useWorkspace((w) => w.versionId);
  const proposed = useWorkspace((w) =>
    nextName(
      w.project.aircraft,
      w.versions.map((v) => v.name),
    ),
  );
  const router = useRouter();
  const [name, setName] = useState<string | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const make = async () => {
    setBusy(true);
    // the built parts of the old airframe are not the new one's: its scale readings stay with the parent
    const design = { ...document.design, scale: [] };
    const made = createVersionAction(versionId, name ?? proposed, why ?? reason, { ...document, design });
    const r = await called(made);
    setBusy(false);
    if (r.status === 'refused') setError(r.message);
    else router.push(`/projects/${project.id}/versions/${r.value}/${station}`);
  };
  return (
    <Modal opened={opened} onClose={onClose} centered title={<b>Next version</b>}>
      <form
        className="stack"
        onSubmit={(e) => {
          e.preventDefault();
          void make();
        }}
      >
        {children}
        <TextInput
          label="Name"
          value={name ?? proposed}
          onChange={(e) => setName(e.currentTarget.value)}
          data-autofocus
        />
        <Textarea
          label="Why"
          autosize
          minRows={2}
          value={why ?? reason}
          onChange={(e) => setWhy(e.currentTarget.value)}
        />
        {error && (
          <div role="alert" className="stoptext">
            {error}
          </div>
        )}
        <Button type="submit" loading={busy}>
          Make it
        </Button>
      </form>
    </Modal>
  );
}
