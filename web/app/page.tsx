import { BEGINNINGS } from '@skiametra/core/start';
import { getDb } from '../server/connection';
import { currentPerson } from '../server/person';
import { deletedProjects, listProjects } from '../server/projects';
import { ProjectShelf } from '../stations/shelf/ProjectShelf';

export const dynamic = 'force-dynamic';

export default async function Home() {
  const db = getDb();
  const [projects, deleted, { me }] = await Promise.all([
    listProjects(db),
    deletedProjects(db),
    currentPerson(),
  ]);
  const beginnings = BEGINNINGS.map(({ id, name }) => ({ value: id, label: name }));
  return <ProjectShelf projects={projects} deleted={deleted} person={me.name} beginnings={beginnings} />;
}
