import { writeProjectJson } from '@skiametra/formats';
import { getDb } from '../../../../../server/connection';
import { exportProject } from '../../../../../server/exchange';

/** The project as one JSON file. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ projectId: string }> },
): Promise<Response> {
  const id = Number((await params).projectId);
  const file = Number.isInteger(id) && id > 0 && id < 2 ** 31 ? await exportProject(getDb(), id) : null;
  if (!file) return new Response('There is no such project.', { status: 404 });
  const name = `${file.project.aircraft}-${file.project.name}`.replace(/[^A-Za-z0-9]+/g, '-').toLowerCase();
  return new Response(writeProjectJson(file), {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': `attachment; filename="${name}.skiametra.json"`,
    },
  });
}
