'use client';
/** Steps cut in a section: on which face, where, how deep. */
import { Button, NativeSelect } from '@mantine/core';
import { QuantityField } from '../../../parts/fields/QuantityField';
import type { Shape } from './shapes';
import type { SectionShape } from './useSectionShape';

type Stepped = Extract<Shape, { kind: 'stepped' }>;
type Step = Stepped['steps'][number];

const MOST_STEPS = 2;
const SECOND: Step = { face: 'lower', at: 0.5, depth: 0.01 };
const FACES = [
  { value: 'upper', label: 'upper face' },
  { value: 'lower', label: 'lower face' },
];

export function StepFields({ own, shape }: { own: SectionShape; shape: Stepped }) {
  const put = (steps: Step[]) => own.setShape({ ...shape, steps });
  const change = (i: number, part: Partial<Step>) =>
    put(shape.steps.map((step, k) => (k === i ? { ...step, ...part } : step)));
  return (
    <>
      {shape.steps.map((step, i) => (
        <div key={i} className="fields three">
          <NativeSelect
            label="Step on"
            value={step.face}
            onChange={(e) => change(i, { face: e.currentTarget.value as Step['face'] })}
            data={FACES}
          />
          <QuantityField
            label="at"
            kind="chordPercent"
            value={step.at}
            onCommit={(at) => change(i, { at })}
          />
          <QuantityField
            label="depth"
            kind="chordPercent"
            value={step.depth}
            onCommit={(depth) => change(i, { depth })}
          />
        </div>
      ))}
      {shape.steps.length < MOST_STEPS && (
        <Button size="compact-xs" variant="subtle" onClick={() => put([...shape.steps, SECOND])}>
          Add a second step
        </Button>
      )}
    </>
  );
}
