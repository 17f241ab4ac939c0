'use client';
/** The next version, with the changes that were chosen. */
import { Button, Modal, TextInput, Textarea } from '@mantine/core';
import type { Fix } from '@skiametra/core/assess';
import { applyFix } from '@skiametra/core/refine';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Sentence } from '../../parts/Sentence';
import { called } from '../../parts/called';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { createVersionAction } from '../../server/actions';

/** The aircraft's name with the number after the highest in use; branches without a number do not count. */
export function nextName(aircraft: string, names: readonly string[]): string {
  const used = names
    .map((n) => (n.startsWith(`${aircraft} `) ? Number(n.slice(aircraft.length + 1)) : NaN))
    .filter((n) => Number.isInteger(n) && n > 0);
  return `${aircraft} ${Math.max(0, ...used) + 1}`;
}

export function NextVersion({
  opened,
  onClose,
  fix,
  reason,
}: {
  opened: boolean;
  onClose: () => void;
  fix: Fix | null;
  reason: string;
}) {
  const document = useWorkspace((w) => w.content.document);
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
    const next = fix ? { ...document, design: applyFix(document.design, fix) } : document;
    // the built parts of the old airframe are not the new one's: its scale readings stay with the parent
    const design = { ...next.design, scale: [] };
    const made = createVersionAction(versionId, name ?? proposed, why ?? reason, { ...next, design });
    const r = await called(made);
    setBusy(false);
    if (r.status === 'refused') setError(r.message);
    else router.push(`/projects/${project.id}/versions/${r.value}/refine`);
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
        {fix && (
          <div>
            With: <Sentence of={fix.label} />.
          </div>
        )}
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
