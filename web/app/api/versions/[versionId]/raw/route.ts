import { eq } from 'drizzle-orm';
import { refusal } from '../../../../../server/body';
import { getDb } from '../../../../../server/connection';
import { answered } from '../../../../../server/faults';
import { idOf } from '../../../../../server/ids';
import { versions } from '../../../../../server/schema';

export const dynamic = 'force-dynamic';

/** A version's document as it is stored, readable or not: for one that is damaged. */
export function GET(
  _request: Request,
  { params }: { params: Promise<{ versionId: string }> },
): Promise<Response> {
  return answered(async () => {
    const id = idOf((await params).versionId);
    const [row] =
      id === null
        ? []
        : await getDb().select({ document: versions.document }).from(versions).where(eq(versions.id, id));
    if (!row) return refusal(404, 'There is no such version.').refusal;
    return new Response(`${JSON.stringify(row.document, null, 2)}\n`, {
      headers: {
        'content-type': 'application/json; charset=utf-8',
        'content-disposition': `attachment; filename="version-${id}.json"`,
      },
    });
  });
}
