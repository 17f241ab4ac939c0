import { asc, eq } from 'drizzle-orm';
import { readFile } from 'node:fs/promises';
import { MOST_FILE_PART } from '../../../../../server/archive';
import { refusal } from '../../../../../server/body';
import { cleanText } from '../../../../../server/clean';
import { getDb } from '../../../../../server/connection';
import { answered } from '../../../../../server/faults';
import { idOf } from '../../../../../server/ids';
import { keepFile } from '../../../../../server/logFile';
import { receive, removeReceived } from '../../../../../server/receive';
import { logFiles, tests } from '../../../../../server/schema';

export const dynamic = 'force-dynamic';
type Params = { params: Promise<{ testId: string }> };

const filesOf = (testId: number) =>
  getDb()
    .select({
      id: logFiles.id,
      name: logFiles.name,
      sum: logFiles.sha256,
      size: logFiles.size,
      addedAt: logFiles.addedAt,
    })
    .from(logFiles)
    .where(eq(logFiles.testId, testId))
    .orderBy(asc(logFiles.id));

/** Files that loggers wrote for a test, as they came. */
export function GET(_request: Request, { params }: Params): Promise<Response> {
  return answered(async () => {
    const id = idOf((await params).testId);
    return Response.json({ status: 'ok', value: id === null ? [] : await filesOf(id) });
  });
}

/** Keeps a file byte for byte and answers its sum; its name comes as `?name=`. The same bytes are kept once. */
export function POST(request: Request, { params }: Params): Promise<Response> {
  return answered(async () => {
    const id = idOf((await params).testId);
    const [test] =
      id === null ? [] : await getDb().select({ id: tests.id }).from(tests).where(eq(tests.id, id));
    if (!test) return refusal(404, 'There is no such test.').refusal;
    const name = cleanText(new URL(request.url).searchParams.get('name') ?? '').slice(0, 200) || 'log';
    const path = await receive(request, MOST_FILE_PART);
    if (path === null) return refusal(413, `The file is larger than ${MOST_FILE_PART / 1e6} MB.`).refusal;
    try {
      const sum = await keepFile(getDb(), test.id, name, await readFile(path));
      return Response.json({ status: 'ok', value: { sum } });
    } finally {
      await removeReceived(path);
    }
  });
}
