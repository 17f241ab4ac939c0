'use client';
/** What is typed and not yet left with Enter or Tab is taken when the page goes: into the draft, before it is gone. */
import { useEffect, useRef } from 'react';

export function useCommitOnLeave(typing: boolean, commit: () => void): void {
  const latest = useRef(commit);
  useEffect(() => {
    latest.current = commit;
  });
  useEffect(() => {
    if (!typing) return;
    const leave = () => latest.current();
    window.addEventListener('pagehide', leave);
    return () => window.removeEventListener('pagehide', leave);
  }, [typing]);
}
