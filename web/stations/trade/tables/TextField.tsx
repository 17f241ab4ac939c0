'use client';
import { TextInput } from '@mantine/core';
import { useState } from 'react';

interface Props {
  label: string;
  value: string;
  placeholder?: string;
  onCommit: (text: string) => void;
}

/** Text that is taken over when it is left, so that each change is one step back. */
export function TextField({ label, value, placeholder, onCommit }: Props) {
  const [text, setText] = useState<string | null>(null);
  const commit = () => {
    if (text !== null && text !== value) onCommit(text);
    setText(null);
  };
  return (
    <TextInput
      className="incell"
      variant="unstyled"
      title={value}
      size="xs"
      aria-label={label}
      placeholder={placeholder}
      value={text ?? value}
      onChange={(e) => setText(e.currentTarget.value)}
      onBlur={commit}
      onKeyDown={(e) => {
        if (e.key === 'Enter') commit();
        if (e.key === 'Escape') setText(null);
      }}
    />
  );
}
