'use client';
/** Points read off footage by hand: a time and a number a line, at the speed that it was played at. They become a file. */
import { Button, NativeSelect, NumberInput, Textarea } from '@mantine/core';
import { useState } from 'react';
import { footageFile, FOOTAGE } from './footageFile';

export function Footage({ onTake }: { onTake: (file: File) => void }) {
  const [text, setText] = useState(''),
    [what, setWhat] = useState<string>(FOOTAGE[0]!.id),
    [factor, setFactor] = useState<number | string>(1),
    made = footageFile(text, what, Number(factor) || 1);
  return (
    <details className="behind">
      <summary>Points read off footage</summary>
      <div className="stack gap8">
        <div className="line gap8 low wraps">
          <NativeSelect
            label="What was read"
            size="xs"
            value={what}
            data={FOOTAGE.map((f) => ({ value: f.id, label: f.label }))}
            onChange={(e) => setWhat(e.currentTarget.value)}
          />
          <NumberInput
            label="Played at, of real time"
            size="xs"
            w={130}
            min={0.01}
            max={100}
            value={factor}
            onChange={setFactor}
          />
        </div>
        <Textarea
          label="A time [s] and a number a line"
          size="xs"
          autosize
          minRows={4}
          placeholder={'0 0\n1.5 4\n3 9'}
          value={text}
          onChange={(e) => setText(e.currentTarget.value)}
        />
        {made.status === 'error' && text.trim() !== '' && <div className="stoptext">{made.message}</div>}
        <div>
          <Button
            size="xs"
            variant="default"
            disabled={made.status === 'error'}
            onClick={() => made.status === 'ok' && onTake(made.file)}
          >
            Take {made.status === 'ok' ? `${made.count} points` : 'the points'}
          </Button>
        </div>
      </div>
    </details>
  );
}
