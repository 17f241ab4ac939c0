import { jsonBody } from '../../../server/body';
import { getDb } from '../../../server/connection';
import { answered } from '../../../server/faults';
import { findPolars, keepPolars, offeredSchema, wantedSchema } from '../../../server/polars';

export const dynamic = 'force-dynamic';
const MOST_BYTES = 3_000_000;
const WHAT = 'Not a request for polars';

/** Polars that are kept, of those asked for by key. */
export function POST(request: Request): Promise<Response> {
  return answered(async () => {
    const body = await jsonBody(request, wantedSchema, MOST_BYTES, WHAT);
    if ('refusal' in body) return body.refusal;
    return Response.json({ polars: await findPolars(getDb(), body.value.keys) });
  });
}

/** Polars to keep. */
export function PUT(request: Request): Promise<Response> {
  return answered(async () => {
    const body = await jsonBody(request, offeredSchema, MOST_BYTES, WHAT);
    if ('refusal' in body) return body.refusal;
    await keepPolars(getDb(), body.value.polars);
    return Response.json({ kept: Object.keys(body.value.polars).length });
  });
}
