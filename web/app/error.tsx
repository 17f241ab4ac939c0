'use client';
import { UnstyledButton } from '@mantine/core';
import { useEffect } from 'react';

/** What happened, as far as it is known: a fault of a screen is not the database's. */
export default function ErrorPage({
  error,
  reset,
}: {
  error: Error & { digest?: string };
  reset: () => void;
}) {
  useEffect(() => console.error(error), [error]);
  // errors of the server come without their words, but with a digest
  const fromServer = error.digest !== undefined;
  return (
    <main className="plainpage">
      <h1>{fromServer ? 'The server could not answer' : 'This screen could not be drawn'}</h1>
      {fromServer ? (
        <p>
          Most often the database is not running: look at the window the application was started in. Its note
          of this error is {error.digest}.
        </p>
      ) : (
        <p>
          The fault lies in the application, not in your work: {error.message || 'it gave no reason'}. Undo
          the last change, or open another station.
        </p>
      )}
      <p>What you typed is kept in this browser.</p>
      <UnstyledButton onClick={reset}>Try again</UnstyledButton>
    </main>
  );
}
