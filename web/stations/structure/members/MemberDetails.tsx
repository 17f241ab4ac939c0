'use client';
/** One member: sizes at its root and tip, what it is further out, what holds it, where it was mended. */
import { Button, Checkbox, NativeSelect } from '@mantine/core';
import { getPath, type Member } from '@skiametra/core/design';
import { DocField } from '../../../parts/fields/DocField';
import { TextCell } from '../../../parts/fields/TextCell';
import { STRUCTURE } from '../../../parts/paths';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { kindOf, KINDS } from './memberKinds';
import { MaterialSelect } from './MaterialSelect';

/** Sizes and materials of one piece. @param at path of the piece: the member, or a step of it */
function PieceFields({ at, ends }: { at: string; ends: readonly [string, string] }) {
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
        data={KINDS.map(({ value, label }) => ({ value, label }))}
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

/** Steps: further out another size or another material. */
function Steps({ member, at }: { member: Member; at: string }) {
  const edit = useWorkspace((w) => w.edit),
    steps = member.steps ?? [];
  const last = steps[steps.length - 1]?.from ?? 0;
  const add = () =>
    edit({
      type: 'set',
      path: `${at}.steps`,
      value: [...steps, { from: last + 0.2, shape: steps[steps.length - 1]?.shape ?? member.shape }],
    });
  return (
    <div className="stack gap8">
      {steps.map((s, i) => (
        <section key={i} className="block">
          <h2>
            From there out{' '}
            <Button
              size="compact-xs"
              variant="subtle"
              className="right"
              onClick={() =>
                edit({
                  type: 'set',
                  path: `${at}.steps`,
                  value: steps.length > 1 ? steps.filter((_, k) => k !== i) : undefined,
                })
              }
            >
              Take this step away
            </Button>
          </h2>
          <DocField label="Begins, distance out" path={`${at}.steps.${i}.from`} />
          <PieceFields at={`${at}.steps.${i}`} ends={['there', 'at its end']} />
        </section>
      ))}
      <div>
        <Button size="compact-xs" variant="light" onClick={add}>
          Another size or material further out
        </Button>
      </div>
    </div>
  );
}

/** A break that was mended: the member is shut until a load test or a reason. */
function RepairFields({ member, at }: { member: Member; at: string }) {
  const edit = useWorkspace((w) => w.edit);
  if (!member.repair)
    return (
      <div>
        <Button
          size="compact-xs"
          variant="subtle"
          onClick={() =>
            edit({
              type: 'set',
              path: `${at}.repair`,
              value: { date: new Date().toISOString().slice(0, 10), what: '', at: 0, reason: '' },
            })
          }
        >
          It broke here and was mended …
        </Button>
      </div>
    );
  return (
    <section className="block" aria-label="Repair">
      <h2>
        Mended on {member.repair.date}{' '}
        <Button
          size="compact-xs"
          variant="subtle"
          className="right"
          onClick={() => edit({ type: 'set', path: `${at}.repair`, value: undefined })}
        >
          A new one is fitted
        </Button>
      </h2>
      <DocField path={`${at}.repair.at`} />
      <div className="qf">
        <span>What was done</span>
        <TextCell label="What was done" path={`${at}.repair.what`} />
      </div>
      <p className="dim note below4">
        No card flies on it before a load test has passed, or a reason is written here.
      </p>
      <div className="qf">
        <span>May bear because</span>
        <TextCell label="May bear because" path={`${at}.repair.reason`} />
      </div>
    </section>
  );
}

export function MemberDetails({ member }: { member: Member }) {
  const at = `${STRUCTURE}.members.${member.id}`;
  return (
    <section className="block" aria-label={member.name}>
      <h2>{member.name}</h2>
      <div className="stack gap12">
        <PieceFields at={at} ends={['at its root', 'at its tip']} />
        <div className="fields">
          <DocField path={`${at}.held`} optional hint="Spacing of ribs; empty: held all along by the skin" />
        </div>
        <Steps member={member} at={at} />
        <RepairFields member={member} at={at} />
      </div>
    </section>
  );
}
