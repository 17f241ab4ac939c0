'use client';
/** What one entry of the swap set is. */
import { Button } from '@mantine/core';
import { DocField } from '../../../parts/fields/DocField';
import { TextCell } from '../../../parts/fields/TextCell';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { BladeFields } from '../drive/PropellerFields';
import { MotorFields } from '../drive/MotorFields';
import { PackFields } from '../drive/PackFields';

export function SwapData({ id, close }: { id: string; close: () => void }) {
  const swaps = useWorkspace((w) => w.content.document.design.swaps ?? []);
  const edit = useWorkspace((w) => w.edit);
  const s = swaps.find((x) => x.id === id)!,
    at = `document.design.swaps.${id}`;
  return (
    <div className="pad8 ruled">
      {s.kind === 'propeller' ? (
        <BladeFields at={`${at}.data`} />
      ) : s.kind === 'motor' ? (
        <MotorFields at={`${at}.data`} />
      ) : (
        <PackFields at={`${at}.data`} />
      )}
      <div className="fields mt8">
        <DocField label="Stands at x (empty: where the old one was)" path={`${at}.x`} optional="null" />
        <div className="qf">
          <span className="dim">Note</span>
          <TextCell label="Note on the sticker" path={`${at}.note`} />
        </div>
      </div>
      <div className="line gap8 mt8">
        <Button size="compact-xs" variant="default" onClick={close}>
          Close
        </Button>
        <Button
          size="compact-xs"
          variant="subtle"
          color="red"
          onClick={() => {
            edit({ type: 'set', path: 'document.design.swaps', value: swaps.filter((x) => x.id !== id) });
            close();
          }}
        >
          Take it out of the set
        </Button>
      </div>
    </div>
  );
}
