'use client';
/** After the test: does it come back, or where did it break. A wing that broke is evidence. */
import { Button } from '@mantine/core';
import type { LoadPlan, LoadTest } from '@skiametra/core/design';
import { QuantityField } from '../../../parts/fields/QuantityField';

interface Props {
  load: LoadTest;
  plan: LoadPlan;
  set: (patch: Partial<LoadTest>) => string | null;
}

export function Broke({ load, plan, set }: Props) {
  const next = plan.steps[Math.min(load.held, plan.steps.length - 1)]!.n;
  return (
    <div className="fields three mt8">
      <QuantityField
        label="Tip after unloading"
        kind="length"
        value={load.remains}
        onCommit={(remains) => set({ remains })}
        onClear={() => set({ remains: null })}
      />
      {load.broke ? (
        <>
          <QuantityField
            label="Broke at"
            kind="loadFactor"
            value={load.broke.n}
            onCommit={(n) => set({ broke: { ...load.broke!, n } })}
          />
          <QuantityField
            label="Where, distance out"
            kind="length"
            value={load.broke.y}
            onCommit={(y) => set({ broke: { ...load.broke!, y } })}
          />
          <Button variant="subtle" onClick={() => set({ broke: null })}>
            It did not break
          </Button>
        </>
      ) : (
        <Button variant="subtle" onClick={() => set({ broke: { n: next, y: 0, what: '' } })}>
          It broke …
        </Button>
      )}
    </div>
  );
}
