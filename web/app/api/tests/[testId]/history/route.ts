import { getDb } from '../../../../../server/connection';
import { answered } from '../../../../../server/faults';
import { testHistory } from '../../../../../server/history';
import { idOf } from '../../../../../server/ids';

export const dynamic = 'force-dynamic';

/** Earlier saves of a test, without its log, the last one first; `?most=` of them. */
export function GET(
  request: Request,
  { params }: { params: Promise<{ testId: string }> },
): Promise<Response> {
  return answered(async () => {
    const id = idOf((await params).testId);
    const most = Math.min(400, idOf(new URL(request.url).searchParams.get('most') ?? '') ?? 40);
    return Response.json({ status: 'ok', value: id === null ? [] : await testHistory(getDb(), id, most) });
  });
}
