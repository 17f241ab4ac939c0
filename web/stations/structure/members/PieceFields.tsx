'use client';
/** What one piece of a member is: its kind, sizes at both ends, materials. */
import { Checkbox, NativeSelect } from '@mantine/core';
import { getPath } from '@skiametra/core/design';
import { DocField } from '../../../parts/fields/DocField';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { kindOf, KINDS } from './memberKinds';
import { MaterialSelect } from './MaterialSelect';

/** Sizes and materials of one piece. @param at path of the piece: the member, or a step of it */
export function PieceFields({
  at,
  ends,
  kinds = KINDS,
}: {
  at: string;
  ends: readonly [string, string];
  /** that can stand there */ kinds?: typeof KINDS;
}) {
  const kind = useWorkspace((w) => String(getPath(w.content, `${at}.shape.kind`))),
    lies = useWorkspace((w) => getPath(w.content, `${at}.shape.lies`)),
    edit = useWorkspace((w) => w.edit),
    k = kindOf(kind);
  const swap = (value: string) => {
    const begin = KINDS.find((x) => x.value === value)!.begin;
    edit({
      type: 'apply',
      changes: [
        { path: `${at}.shape`, value: begin },
        { path: `${at}.tip`, value: undefined },
      ],
    });
  };
  return (
    <div className="stack gap8">
      <NativeSelect
        label="Kind"
        description={k.says}
        value={kind}
        data={kinds.map(({ value, label }) => ({ value, label }))}
        onChange={(e) => swap(e.currentTarget.value)}
      />
      <div className="piecefields">
        <span />
        <span className="dim small">{ends[0]}</span>
        <span className="dim small">{ends[1]}</span>
        {k.sizes.map((s) => (
          <Sizes key={s.key} at={at} size={s} ends={ends} />
        ))}
      </div>
      {kind === 'channel' && (
        <Checkbox
          label="The web lies at the bottom, flanges up"
          checked={lies === true}
          onChange={(e) => edit({ type: 'set', path: `${at}.shape.lies`, value: e.currentTarget.checked })}
        />
      )}
      {k.materials.map((m) => (
        <MaterialSelect key={m.key} label={m.label} path={`${at}.shape.${m.key}`} />
      ))}
    </div>
  );
}

interface SizesProps {
  at: string;
  size: { key: string; label: string; tapers?: false };
  ends: readonly [string, string];
}

/** One size at both ends of a piece; empty at the tip means it does not taper. */
function Sizes({ at, size: { key, label, tapers }, ends }: SizesProps) {
  return (
    <>
      <span>{label}</span>
      <DocField label={`${label}, ${ends[0]}`} path={`${at}.shape.${key}`} hideLabel />
      {tapers === false ? (
        <span />
      ) : (
        <DocField label={`${label}, ${ends[1]}`} path={`${at}.tip.${key}`} hideLabel optional />
      )}
    </>
  );
}
