'use client';
/** The files a logger wrote for a test, as they came: each can be had again byte for byte. */
import { useEffect, useState } from 'react';
import { originalsOf, type Original } from './originals';

/** @param stamp changes when a file was added */
export function OriginalFiles({ testId, stamp }: { testId: string; stamp: number }) {
  const [list, setList] = useState<Original[]>([]);
  useEffect(() => {
    let here = true;
    originalsOf(testId).then(
      (l) => {
        if (here) setList(l);
      },
      () => undefined,
    );
    return () => {
      here = false;
    };
  }, [testId, stamp]);
  if (list.length === 0) return null;
  return (
    <p className="dim originals">
      Kept as they came:{' '}
      {list.map((f) => (
        <a key={f.id} href={`/api/files/${f.id}`}>
          {f.name} ({Math.max(1, Math.round(f.size / 1000))} kB)
        </a>
      ))}
    </p>
  );
}
