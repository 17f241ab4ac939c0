import { gunzipSync } from 'node:zlib';
import { eq } from 'drizzle-orm';
import { refusal } from '../../../../server/body';
import { getDb } from '../../../../server/connection';
import { answered } from '../../../../server/faults';
import { idOf } from '../../../../server/ids';
import { logFiles } from '../../../../server/schema';

export const dynamic = 'force-dynamic';

/** A logger's file as it came. */
export function GET(
  _request: Request,
  { params }: { params: Promise<{ fileId: string }> },
): Promise<Response> {
  return answered(async () => {
    const id = idOf((await params).fileId);
    const [row] = id === null ? [] : await getDb().select().from(logFiles).where(eq(logFiles.id, id));
    if (!row) return refusal(404, 'There is no such file.').refusal;
    const name = encodeURIComponent(row.name.replace(/[\\/]/g, '-'));
    return new Response(new Uint8Array(gunzipSync(row.gzip)), {
      headers: {
        'content-type': 'application/octet-stream',
        'content-disposition': `attachment; filename*=UTF-8''${name}`,
      },
    });
  });
}
