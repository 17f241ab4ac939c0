import { refusal } from '../../../../../server/body';
import { exportArchive } from '../../../../../server/archive';
import { writeProjectJson } from '@skiametra/formats';
import { exportProject } from '../../../../../server/exchange';
import { getDb } from '../../../../../server/connection';
import { answered } from '../../../../../server/faults';
import { idOf } from '../../../../../server/ids';

export const dynamic = 'force-dynamic';

/** The project as one zip file, streamed, or with `?form=json` as one JSON text; of a deleted one too, as long as it is kept. */
export function GET(
  request: Request,
  { params }: { params: Promise<{ projectId: string }> },
): Promise<Response> {
  return answered(async () => {
    const id = idOf((await params).projectId);
    if (new URL(request.url).searchParams.get('form') === 'json') {
      const file = id === null ? null : await exportProject(getDb(), id);
      if (!file) return refusal(404, 'There is no such project.').refusal;
      return new Response(writeProjectJson(file), { headers: { 'content-type': 'application/json' } });
    }
    const made = id === null ? null : await exportArchive(getDb(), id);
    if (!made) return refusal(404, 'There is no such project.').refusal;
    const name = made.stem.replace(/[^A-Za-z0-9]+/g, '-').toLowerCase();
    return new Response(made.stream, {
      headers: {
        'content-type': 'application/zip',
        'content-disposition': `attachment; filename="${name}.skiametra.zip"`,
        'cache-control': 'no-store',
      },
    });
  });
}
