'use client';
/** Timed laps, written one after the other. */
import { TextInput } from '@mantine/core';
import { useState } from 'react';
import { useCommitOnLeave } from '../../parts/useCommitOnLeave';
import { lapTimes } from './lapTimes';

interface Props {
  laps: readonly number[];
  /** @returns a sentence where it is refused */ onCommit: (laps: number[]) => string | null;
}

export function Laps({ laps, onCommit }: Props) {
  const [text, setText] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  const commit = () => {
    if (text === null) return;
    const read = lapTimes(text);
    const refused = 'problem' in read ? read.problem : onCommit(read.times);
    setError(refused);
    if (!refused) setText(null);
  };
  useCommitOnLeave(text !== null, commit);
  return (
    <TextInput
      className="wide"
      label="Timed laps, seconds or min:sec"
      value={text ?? laps.map((t) => Number(t.toFixed(2))).join('  ')}
      error={error}
      onChange={(e) => setText(e.currentTarget.value)}
      onBlur={commit}
      onKeyDown={(e) => {
        if (e.key === 'Enter') commit();
        if (e.key === 'Escape') {
          setText(null);
          setError(null);
        }
      }}
    />
  );
}
