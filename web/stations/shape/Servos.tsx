'use client';
/** What moves each control of a surface: torque of one servo and how many a side. What they are asked stands under Balance. */
import { Button } from '@mantine/core';
import type { Surface } from '@skiametra/core/design';
import { DocField } from '../../parts/fields/DocField';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

/** As a small servo is sold: 1.8 kg cm, one a side. */
const FIRST = { torque: 0.18, count: 1 };

export function Servos({ path, surface }: { path: string; surface: Surface }) {
  const { controls } = surface;
  if (controls.length === 0) return null;
  const known = controls.filter((c) => c.servo).length;
  return (
    <details>
      <summary className="dim clickable">
        Servos{known > 0 ? ` (${known} of ${controls.length} known)` : ''}
      </summary>
      <div className="stack gap8 mt8">
        {controls.map((c) => (
          <Servo key={c.id} path={`${path}.controls.${c.id}`} name={c.name} known={c.servo !== undefined} />
        ))}
      </div>
    </details>
  );
}

function Servo({ path, name, known }: { path: string; name: string; known: boolean }) {
  const edit = useWorkspace((w) => w.edit);
  const say = (value: typeof FIRST | undefined) => edit({ type: 'set', path: `${path}.servo`, value });
  return (
    <div className="fields three">
      {known ? (
        <>
          <DocField label={`${name}: torque`} path={`${path}.servo.torque`} />
          <DocField label="Servos a side" path={`${path}.servo.count`} />
        </>
      ) : (
        <span className="dim">{name}: not known</span>
      )}
      <Button size="compact-xs" variant="default" onClick={() => say(known ? undefined : FIRST)}>
        {known ? 'Not known' : 'Say its servo'}
      </Button>
    </div>
  );
}
