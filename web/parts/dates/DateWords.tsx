'use client';
/** A day or a moment in the words of the reader's language; ISO until the browser is known. */
import { useMounted } from '@mantine/hooks';
import { dateInWords, momentInWords } from './dateFormat';

/** @param withTime the time of day too */
export function DateWords({ iso, withTime = false }: { iso: string; withTime?: boolean }) {
  const mounted = useMounted();
  const words = withTime ? momentInWords(iso) : dateInWords(iso);
  return <time dateTime={iso}>{mounted ? words : iso.slice(0, 10)}</time>;
}
