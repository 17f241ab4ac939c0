'use client';
/** What a surface is to the aircraft, where it comes apart, and whether it stands on both sides. */
import { Button, Checkbox, NativeSelect } from '@mantine/core';
import type { Surface } from '@skiametra/core/design';
import { isMirrored } from '@skiametra/core/surface';
import { DocField } from '../../parts/fields/DocField';
import { DESIGN } from '../../parts/paths';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

interface Props {
  path: string;
  index: number;
  surface: Surface;
}

const ROLES = [
  { value: 'tail', label: 'behind the wing' },
  { value: 'canard', label: 'ahead of the wing' },
  { value: 'fin', label: 'upright' },
];

export function SurfaceRole({ path, index, surface }: Props) {
  const edit = useWorkspace((w) => w.edit);
  return (
    <details>
      <summary className="dim clickable">Role, both sides, joints</summary>
      <div className="fields mt8">
        {surface.role !== 'wing' && (
          <NativeSelect
            size="xs"
            label="Role"
            value={surface.role}
            onChange={(e) => edit({ type: 'set', path: `${path}.role`, value: e.currentTarget.value })}
            data={ROLES}
          />
        )}
        <DocField label="Beside the middle, y" path={`${path}.y`} />
        {surface.role === 'fin' && (
          <Checkbox
            size="xs"
            label="on both sides"
            checked={isMirrored(surface)}
            onChange={(e) => edit({ type: 'set', path: `${path}.mirror`, value: e.currentTarget.checked })}
          />
        )}
      </div>
      <Referred surface={surface} />
      <Joints path={path} surface={surface} />
      {surface.role !== 'wing' && (
        <Button
          size="xs"
          variant="subtle"
          color="red"
          mt={6}
          onClick={() => edit({ type: 'remove', path: `${DESIGN}.surfaces`, index })}
        >
          Remove this surface
        </Button>
      )}
    </details>
  );
}

/** Sizes of the aircraft are referred to one wing: which one is said, and can be another. */
function Referred({ surface }: { surface: Surface }) {
  const surfaces = useWorkspace((w) => w.content.document.design.surfaces);
  const edit = useWorkspace((w) => w.edit);
  const wing = surfaces.find((s) => s.role === 'wing');
  if (surface.role === 'fin') return null;
  if (surface.role === 'wing')
    return (
      <p className="dim note">
        Span, mean chord, margins and coefficients are referred to this surface; another one can be chosen on
        its own page.
      </p>
    );
  const refer = () => {
    const left = wing && wing.x < surface.x ? ('canard' as const) : ('tail' as const);
    const value = surfaces.map((s) =>
      s.id === surface.id ? { ...s, role: 'wing' as const } : s === wing ? { ...s, role: left } : s,
    );
    edit({ type: 'set', path: `${DESIGN}.surfaces`, value });
  };
  return (
    <p className="note">
      <span className="dim">Sizes are referred to {wing?.name ?? 'no wing'}. </span>
      <Button size="compact-xs" variant="default" onClick={refer}>
        Refer them to this one
      </Button>
    </p>
  );
}

/** Distances out at which it comes apart; one in the middle is nought. */
function Joints({ path, surface }: Omit<Props, 'index'>) {
  const edit = useWorkspace((w) => w.edit);
  const joints = surface.joints ?? [],
    tip = surface.stations.at(-1)!.y;
  const say = (list: readonly number[]) =>
    edit({ type: 'set', path: `${path}.joints`, value: [...list].sort((a, b) => a - b) });
  return (
    <>
      <Checkbox
        size="xs"
        label="comes apart in the middle"
        checked={joints.includes(0)}
        onChange={(e) => say(e.currentTarget.checked ? [0, ...joints] : joints.filter((j) => j !== 0))}
      />
      <div className="fields three mt8">
        {joints.map((j, i) =>
          j === 0 ? null : (
            <DocField
              key={i}
              label={`Comes apart at, ${i + 1}`}
              path={`${path}.joints.${i}`}
              hint="Distance out from the root"
            />
          ),
        )}
      </div>
      <Button size="compact-xs" variant="default" mt={4} onClick={() => say([...joints, 0.6 * tip])}>
        Another joint, out on the span
      </Button>
      {joints.some((j) => j !== 0) && (
        <Button
          size="compact-xs"
          variant="subtle"
          mt={4}
          onClick={() =>
            say(
              joints
                .filter((j) => j !== 0)
                .slice(0, -1)
                .concat(joints.filter((j) => j === 0)),
            )
          }
        >
          One fewer
        </Button>
      )}
    </>
  );
}
