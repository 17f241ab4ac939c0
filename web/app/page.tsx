import { getDb } from '../server/connection';
import { currentPerson } from '../server/person';
import { listProjects } from '../server/store';
import { ProjectShelf } from '../stations/ProjectShelf';

export const dynamic = 'force-dynamic';

export default async function Home() {
  const [projects, { me }] = await Promise.all([listProjects(getDb()), currentPerson()]);
  return <ProjectShelf projects={projects} person={me.name} />;
}
