'use client';
/** One member: sizes at its root and tip, what it is further out, what holds it, where it was mended. */
import { Button } from '@mantine/core';
import type { Member } from '@skiametra/core/design';
import { DocField } from '../../../parts/fields/DocField';
import { TextCell } from '../../../parts/fields/TextCell';
import { STRUCTURE } from '../../../parts/paths';
import { useWorkspace } from '../../../parts/workspace/useWorkspace';
import { PieceFields } from './PieceFields';

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
