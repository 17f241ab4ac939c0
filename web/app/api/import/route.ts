import { receive, removeReceived } from '../../../server/receive';
import { ArchiveError, MOST_ARCHIVE } from '../../../server/archive';
import { refusal } from '../../../server/body';
import { getDb } from '../../../server/connection';
import { answered } from '../../../server/faults';
import { importFile } from '../../../server/importFile';

export const dynamic = 'force-dynamic';

/** Opens a project file, zip or JSON, sent as the body. Answers `{status: 'ok', value: {projectId, versionId}}`. */
export function POST(request: Request): Promise<Response> {
  return answered(async () => {
    const path = await receive(request, MOST_ARCHIVE);
    if (path === null)
      return refusal(413, `The file is larger than ${MOST_ARCHIVE / 1e6} MB; nothing was opened.`).refusal;
    try {
      return Response.json({ status: 'ok', value: await importFile(getDb(), path) });
    } catch (e) {
      if (e instanceof ArchiveError) return refusal(400, e.message).refusal;
      throw e;
    } finally {
      await removeReceived(path);
    }
  });
}
