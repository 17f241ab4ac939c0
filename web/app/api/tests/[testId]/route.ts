import { z } from 'zod';
import { testBodySchema } from '@skiametra/core/design';
import { jsonBody, refusal } from '../../../../server/body';
import { getDb } from '../../../../server/connection';
import { answered } from '../../../../server/faults';
import { idOf } from '../../../../server/ids';
import { currentPersonId } from '../../../../server/person';
import { saveTest } from '../../../../server/store';

export const dynamic = 'force-dynamic';
/** forty thousand rows of a log, forty runs of a bench */
const MOST_BYTES = 24_000_000;
const saveSchema = z.strictObject({ base: z.int().min(1), body: testBodySchema });

/** Saves a test made from a revision. Answers `{status: 'ok', value}` with what became of it. */
export function PUT(
  request: Request,
  { params }: { params: Promise<{ testId: string }> },
): Promise<Response> {
  return answered(async () => {
    const id = idOf((await params).testId);
    if (id === null) return refusal(404, 'There is no such test.').refusal;
    const body = await jsonBody(request, saveSchema, MOST_BYTES, 'Not a save');
    if ('refusal' in body) return body.refusal;
    const { base, body: test } = body.value;
    const value = await saveTest(getDb(), id, base, test, await currentPersonId());
    return Response.json({ status: 'ok', value });
  });
}
