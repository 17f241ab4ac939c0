import type { z } from 'zod';
import { getDb } from '../../../server/connection';
import { findPolars, keepPolars, offeredSchema, wantedSchema } from '../../../server/polars';

export const dynamic = 'force-dynamic';
const MOST_BYTES = 3_000_000;

/** The body as JSON under a schema, or the sentence that refuses it. */
async function bodyOf<T>(
  request: Request,
  schema: z.ZodType<T>,
): Promise<{ value: T } | { refusal: Response }> {
  const text = await request.text();
  if (text.length > MOST_BYTES)
    return { refusal: Response.json({ message: 'The request is larger than 3 MB.' }, { status: 413 }) };
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return { refusal: Response.json({ message: 'The request is not JSON.' }, { status: 400 }) };
  }
  const r = schema.safeParse(data);
  return r.success
    ? { value: r.data }
    : {
        refusal: Response.json(
          {
            message: `Not a request for polars: ${r.error.issues[0]?.path.join('.')} ${r.error.issues[0]?.message}.`,
          },
          { status: 400 },
        ),
      };
}

/** Polars that are kept, of those asked for by key. */
export async function POST(request: Request): Promise<Response> {
  const body = await bodyOf(request, wantedSchema);
  if ('refusal' in body) return body.refusal;
  try {
    return Response.json({ polars: await findPolars(getDb(), body.value.keys) });
  } catch {
    return Response.json({ message: 'The database does not answer.' }, { status: 503 });
  }
}

/** Polars to keep. */
export async function PUT(request: Request): Promise<Response> {
  const body = await bodyOf(request, offeredSchema);
  if ('refusal' in body) return body.refusal;
  try {
    await keepPolars(getDb(), body.value.polars);
    return Response.json({ kept: Object.keys(body.value.polars).length });
  } catch {
    return Response.json({ message: 'The database does not answer.' }, { status: 503 });
  }
}
