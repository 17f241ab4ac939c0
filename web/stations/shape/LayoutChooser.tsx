'use client';
/** A layout to begin from. */
import { DESIGN } from '../../parts/paths';
import { Button, Modal } from '@mantine/core';
import { LAYOUT_TEMPLATES } from '@skiametra/core/layout';
import { useState } from 'react';
import { useWorkspace } from '../../parts/workspace/useWorkspace';
import { askCore } from '../../workers/coreClient';

export function LayoutChooser() {
  const design = useWorkspace((w) => w.content.document.design);
  const edit = useWorkspace((w) => w.edit);
  const [open, setOpen] = useState(false);
  const [busy, setBusy] = useState<string | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const choose = async (id: string) => {
    setBusy(id);
    setTrouble(null);
    try {
      const made = await askCore<'template'>({ task: 'template', design, id });
      const refused = edit({ type: 'set', path: DESIGN, value: made });
      if (refused) setTrouble(refused);
      else setOpen(false);
    } catch (e) {
      setTrouble(e instanceof Error ? e.message : String(e));
    } finally {
      setBusy(null);
    }
  };
  return (
    <>
      <Button size="xs" variant="light" onClick={() => setOpen(true)}>
        Another layout…
      </Button>
      <Modal
        opened={open}
        onClose={() => setOpen(false)}
        title="Layouts, drawn at this span and chord"
        size="xl"
      >
        <p className="dim flushtop">
          The surfaces, body and wing masses are replaced and the wings shifted until it balances; equipment,
          payload, power and brief stay, but where it says that they begin anew. One undo brings this layout
          back.
        </p>
        {trouble && (
          <p className="stoptext" role="alert">
            {trouble}
          </p>
        )}
        {LAYOUT_TEMPLATES.map((t) => (
          <div
            key={t.id}
            style={{
              display: 'grid',
              gridTemplateColumns: '160px minmax(0, 1fr) 90px',
              gap: 14,
              padding: '8px 0',
              borderBottom: '1px solid var(--hair)',
              alignItems: 'center',
            }}
          >
            <b>{t.name}</b>
            <div className="note">
              {t.fixes} <span className="dim">{t.costs}</span>
              {t.anew && <span className="dim"> Masses and drive begin anew, as guesses.</span>}
            </div>
            <Button
              size="xs"
              variant="default"
              aria-label={`Draw it: ${t.name}`}
              loading={busy === t.id}
              disabled={busy !== null && busy !== t.id}
              onClick={() => void choose(t.id)}
            >
              Draw it
            </Button>
          </div>
        ))}
      </Modal>
    </>
  );
}
