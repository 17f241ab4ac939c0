'use client';
/** Two sections and how much of each. */
import { Button, NativeSelect } from '@mantine/core';
import type { Section } from '@skiametra/core/design';
import type { PlainShape } from '@skiametra/core/section';
import { useState } from 'react';
import { QuantityField } from '../../../parts/fields/QuantityField';
import type { Shape } from './shapes';

export function BlendFields({
  shape,
  plain,
  onPut,
}: {
  shape: Shape;
  plain: readonly Section[];
  onPut: (s: Shape, name: string) => void;
}) {
  const [a, setA] = useState(plain[0]?.id ?? '');
  const [b, setB] = useState(plain[1]?.id ?? '');
  const [share, setShare] = useState(shape.kind === 'blend' ? shape.share : 0.5);
  const of = (id: string) => plain.find((s) => s.id === id) ?? plain[0];
  const data = plain.map((s) => ({ value: s.id, label: s.name }));
  return (
    <div className="fields">
      <NativeSelect
        label="From"
        size="xs"
        value={a}
        onChange={(e) => setA(e.currentTarget.value)}
        data={data}
      />
      <NativeSelect
        label="towards"
        size="xs"
        value={b}
        onChange={(e) => setB(e.currentTarget.value)}
        data={data}
      />
      <QuantityField
        label="Share of the second"
        kind="percent"
        value={share}
        onCommit={(v) => {
          if (!(v >= 0 && v <= 1)) return 'From 0 to 100 %.';
          setShare(v);
          return null;
        }}
      />
      <Button
        size="xs"
        variant="light"
        className="selfend"
        onClick={() =>
          onPut(
            {
              kind: 'blend',
              a: of(a)!.shape as PlainShape as never,
              b: of(b)!.shape as PlainShape as never,
              share,
            },
            `${of(a)!.name} to ${of(b)!.name}, ${Math.round(100 * share)} %`,
          )
        }
      >
        Blend
      </Button>
    </div>
  );
}
