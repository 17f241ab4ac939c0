import { z } from 'zod';
import { readDocument } from '@skiametra/core/design';
import { jsonBody, refusal } from '../../../../server/body';
import { getDb } from '../../../../server/connection';
import { answered } from '../../../../server/faults';
import { idOf } from '../../../../server/ids';
import { currentPersonId } from '../../../../server/person';
import { readVersion, saveVersion } from '../../../../server/store';

export const dynamic = 'force-dynamic';
const MOST_BYTES = 4_000_000;
const saveSchema = z.strictObject({ base: z.int().min(1), document: z.unknown() });

/** Saves a version's document made from a revision. Answers `{status: 'ok', value}` with what became of it. */
export function PUT(
  request: Request,
  { params }: { params: Promise<{ versionId: string }> },
): Promise<Response> {
  return answered(async () => {
    const id = idOf((await params).versionId);
    if (id === null) return refusal(404, 'There is no such version.').refusal;
    const body = await jsonBody(request, saveSchema, MOST_BYTES, 'Not a save');
    if ('refusal' in body) return body.refusal;
    const doc = readDocument(body.value.document);
    if (doc.status === 'error') return refusal(400, doc.message).refusal;
    const value = await saveVersion(getDb(), id, body.value.base, doc.value, await currentPersonId());
    return Response.json({ status: 'ok', value });
  });
}

/** A version's document, for laying it beside another; null where it cannot be read. */
export function GET(
  _request: Request,
  { params }: { params: Promise<{ versionId: string }> },
): Promise<Response> {
  return answered(async () => {
    const id = idOf((await params).versionId);
    const value = id === null ? null : await readVersion(getDb(), id);
    return Response.json({ status: 'ok', value });
  });
}
