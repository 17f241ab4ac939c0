import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { DamagedVersion } from '../../../../../parts/DamagedVersion';
import { WorkspaceFrame } from '../../../../../parts/frame/WorkspaceFrame';
import { getDb } from '../../../../../server/connection';
import { currentPerson } from '../../../../../server/person';
import { loadWorkspace } from '../../../../../server/store';

export const dynamic = 'force-dynamic';

const idOf = (text: string) => (/^\d{1,9}$/.test(text) ? Number(text) : 0);

export default async function VersionLayout({
  children,
  params,
}: {
  children: ReactNode;
  params: Promise<{ projectId: string; versionId: string }>;
}) {
  const p = await params;
  const versionId = idOf(p.versionId);
  const [data, { me, all }] = await Promise.all([
    loadWorkspace(getDb(), idOf(p.projectId), versionId),
    currentPerson(),
  ]);
  const broken = data?.damaged.versions.find((v) => v.id === versionId);
  if (data && broken) return <DamagedVersion data={data} broken={broken} />;
  if (!data || !data.versions.some((v) => v.id === versionId)) notFound();
  return (
    <WorkspaceFrame key={versionId} data={data} versionId={versionId} person={me} people={all}>
      {children}
    </WorkspaceFrame>
  );
}
