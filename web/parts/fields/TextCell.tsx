'use client';
/** A line of text bound to the document. */
import { Input, Textarea } from '@mantine/core';
import { getPath } from '@skiametra/core/design';
import { useState, type KeyboardEvent } from 'react';
import { useCommitOnLeave } from '../useCommitOnLeave';
import { useWorkspace } from '../workspace/useWorkspace';

/** A line of text bound to the document; committed on leaving it. */
export function TextCell({
  label,
  path,
  area,
  rows = 2,
  placeholder,
}: {
  label: string;
  path: string;
  area?: boolean;
  rows?: number;
  placeholder?: string;
}) {
  const value = (useWorkspace((w) => getPath(w.content, path)) as string | undefined) ?? '';
  const edit = useWorkspace((w) => w.edit);
  const [text, setText] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  const commit = () => {
    if (text === null || text === value) {
      setText(null);
      return;
    }
    const refused = edit({ type: 'set', path, value: text });
    setError(refused);
    if (!refused) setText(null);
  };
  useCommitOnLeave(text !== null, commit);
  const props = {
    'aria-label': label,
    value: text ?? value,
    placeholder,
    onBlur: commit,
    'aria-invalid': error !== null,
    title: error ?? undefined,
    onKeyDown: (e: KeyboardEvent<HTMLInputElement | HTMLTextAreaElement>) => {
      if (e.key === 'Escape') {
        setText(null);
        setError(null);
      } else if (e.key === 'Enter' && !area) commit();
    },
    onChange: (e: { target: { value: string } }) => setText(e.target.value),
  };
  return (
    <>
      {area ? (
        <Textarea {...props} unstyled classNames={{ input: 'cell areainput' }} rows={rows} />
      ) : (
        <Input {...props} unstyled classNames={{ input: 'cell plaininput' }} />
      )}
      {error && (
        <div className="qf">
          <div className="err" role="alert">
            {error}
          </div>
        </div>
      )}
    </>
  );
}
