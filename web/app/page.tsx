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
  return <ProjectShelf projects={projects} deleted={deleted} person={me.name} />;
}
