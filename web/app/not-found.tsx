import Link from 'next/link';

export default function NotFound() {
  return (
    <main className="plainpage">
      <h1>Nothing here</h1>
      <p>
        The project or version may have been deleted. <Link href="/">All projects</Link>
      </p>
    </main>
  );
}
