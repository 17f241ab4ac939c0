'use client';
/** The aircraft from above, with what it is compared with as a ghost. */
import type { Design } from '@skiametra/core/design';
import { pathOf, planLines, type PlanFrame, type PlanLine } from './planFrame';

interface Props {
  frame: PlanFrame;
  ghost: Design | null;
  /** the surface in hand */ inHand: string | undefined;
}

export function PlanOutline({ frame, ghost, inHand }: Props) {
  const bodyFirst = [...frame.lines].sort((a, b) => Number(a.part !== 'body') - Number(b.part !== 'body'));
  return (
    <>
      {ghost &&
        planLines(ghost)
          .filter((l) => l.kind === 'outline')
          .map((l, i) => <path key={i} d={pathOf(l)} className="plan ghostline" />)}
      {bodyFirst.map((l, i) => (
        <path key={i} d={pathOf(l)} className={`plan ${lookOf(l, inHand)}`} />
      ))}
    </>
  );
}

function lookOf({ kind, part, closed }: PlanLine, inHand: string | undefined): string {
  if (kind === 'outline') return part === inHand ? 'outline inhand' : 'outline';
  if (kind === 'disc') return closed ? 'disc dashed' : 'disc';
  return kind === 'hinge' ? 'hinge' : 'line';
}
