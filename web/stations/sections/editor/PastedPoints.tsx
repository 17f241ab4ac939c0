'use client';
/** Coordinates from the clipboard. */
import { Button, Textarea } from '@mantine/core';
import { useState } from 'react';
import type { SectionShape } from './useSectionShape';

export function PastedPoints({ own }: { own: SectionShape }) {
  const [dat, setDat] = useState('');
  return (
    <>
      <Textarea
        label="Paste coordinates (.dat)"
        classNames={{ input: 'mono' }}
        rows={3}
        value={dat}
        onChange={(e) => setDat(e.currentTarget.value)}
      />
      <Button variant="light" disabled={dat.trim() === ''} onClick={() => own.takeDat(dat, 'Pasted section')}>
        Take pasted
      </Button>
    </>
  );
}
