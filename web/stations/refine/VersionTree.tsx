'use client';
/** Which version came of which. */
import { planForm } from '../../parts/planForm';
import Link from 'next/link';
import { Silhouette } from '../../parts/Silhouette';
import { useWorkspace } from '../../parts/workspace/useWorkspace';

/** Every version with the one it grew from and the reason, newest last. */
export function VersionTree() {
  const all = useWorkspace((w) => w.versions);
  const versions = all.filter((v) => v.id > 0);
  const versionId = useWorkspace((w) => w.versionId);
  const project = useWorkspace((w) => w.project);
  const tests = useWorkspace((w) => w.content.tests);
  if (versions.length < 2) return null;
  const depth = (id: number | null): number => {
    const v = versions.find((x) => x.id === id);
    return v ? 1 + depth(v.parentId) : 0;
  };
  return (
    <section className="block">
      <h2>Versions</h2>
      {versions.map((v) => {
        const flown = tests.filter((t) => t.versionId === v.id && t.body.record.flown).length;
        return (
          <div
            key={v.id}
            style={{
              display: 'flex',
              gap: 10,
              alignItems: 'center',
              padding: '6px 0 6px',
              paddingLeft: 18 * (depth(v.id) - 1),
              borderBottom: '1px solid var(--hair)',
            }}
          >
            {(v.document?.design ?? v.face) && (
              <Silhouette design={v.document ? planForm(v.document.design) : v.face!} size={44} />
            )}
            <div className="narrowable">
              {v.id === versionId ? (
                <b>{v.name}</b>
              ) : (
                <Link href={`/projects/${project.id}/versions/${v.id}/refine`}>{v.name}</Link>
              )}{' '}
              <span className="dim small">{flown ? `${flown} flown` : 'not flown'}</span>
              <div className="dim small">{v.reason}</div>
            </div>
          </div>
        );
      })}
    </section>
  );
}
