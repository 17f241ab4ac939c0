/** In place of a version whose stored document cannot be read: what can still be had. */
import Link from 'next/link';
import type { WorkspaceData } from '../server/store';

export function DamagedVersion({
  data,
  broken,
}: {
  data: WorkspaceData;
  broken: { id: number; name: string };
}) {
  return (
    <main className="plainpage">
      <h1>{broken.name} cannot be read</h1>
      <p>
        What is stored of this version of {data.project.name} is damaged, or was written by another hand.
        Nothing of it was changed. The other versions are whole.
      </p>
      <ul>
        <li>
          <a href={`/api/versions/${broken.id}/raw`}>Save what is stored as a file</a>
        </li>
        <li>
          <a href={`/api/versions/${broken.id}/history?most=400`}>Save its earlier saves as a file</a>
        </li>
        {data.versions.map((v) => (
          <li key={v.id}>
            <Link href={`/projects/${data.project.id}/versions/${v.id}/brief`}>Open {v.name}</Link>
          </li>
        ))}
        <li>
          <Link href="/">All projects</Link>
        </li>
      </ul>
    </main>
  );
}
