import { benchRequestSchema, benchStream } from '../../../server/bench';
import { jsonBody } from '../../../server/body';

export const dynamic = 'force-dynamic';
const MOST_BYTES = 200_000;

/** Runs the thrust stand and streams what it reads, a line of JSON a step. */
export async function POST(request: Request): Promise<Response> {
  const body = await jsonBody(request, benchRequestSchema, MOST_BYTES, 'Not a bench run');
  if ('refusal' in body) return body.refusal;
  return new Response(benchStream(body.value, request.signal), {
    headers: { 'content-type': 'application/x-ndjson', 'cache-control': 'no-store' },
  });
}
