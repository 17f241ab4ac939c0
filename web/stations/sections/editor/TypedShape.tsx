'use client';
/** A shape that is written: digits, weights, corners. */
import { Button, Textarea, TextInput } from '@mantine/core';
import { useState, type FormEvent } from 'react';
import { HINTS, KINDS, read, written, type Shape } from './shapes';
import type { SectionShape } from './useSectionShape';

export function TypedShape({ kind, own }: { kind: Shape['kind']; own: SectionShape }) {
  const [text, setText] = useState(kind === own.shape.kind ? written(own.shape) : '');
  const label = KINDS.find((k) => k.value === kind)?.label;
  const take = (e: FormEvent) => {
    e.preventDefault();
    const shape = read(kind, text, own.shape);
    if (typeof shape === 'string') own.setError(`${shape}; the section stays as it was.`);
    else own.setShape(shape.shape, shape.name, 'generated');
  };
  const use = (
    <Button type="submit" variant="subtle">
      Use
    </Button>
  );
  return (
    <form onSubmit={take}>
      {kind === 'classShape' || kind === 'folded' ? (
        <>
          <Textarea
            label={label}
            classNames={{ input: 'mono' }}
            rows={3}
            value={text}
            onChange={(e) => setText(e.currentTarget.value)}
          />
          {use}
        </>
      ) : (
        <TextInput
          label={label}
          classNames={{ input: 'mono' }}
          maxLength={10}
          value={text}
          onChange={(e) => setText(e.currentTarget.value)}
          rightSection={use}
          rightSectionWidth={56}
        />
      )}
      <div className="dim tiny">{HINTS[kind]}</div>
    </form>
  );
}
