'use client';

export default function ErrorPage({ reset }: { error: Error; reset: () => void }) {
  return (
    <main style={{ padding: 40 }}>
      <h1>The server could not answer</h1>
      <p>
        Most often the database is not running. What you typed is kept in this browser. Start the application
        again, then try once more.
      </p>
      <button type="button" onClick={reset}>
        Try again
      </button>
    </main>
  );
}
