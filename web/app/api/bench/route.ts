import { benchRequestSchema, benchStream } from '../../../server/bench';

export const dynamic = 'force-dynamic';
const MOST_BYTES = 200_000;

/** Runs the thrust stand and streams what it reads, a line of JSON a step. */
export async function POST(request: Request): Promise<Response> {
  // a page from elsewhere must not turn a propeller
  const from = request.headers.get('sec-fetch-site');
  if (from !== null && from !== 'same-origin')
    return Response.json(
      { message: 'Only this application’s own pages may run the stand.' },
      { status: 403 },
    );
  const text = await request.text();
  if (text.length > MOST_BYTES)
    return Response.json({ message: 'The request is larger than 200 kB.' }, { status: 413 });
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return Response.json({ message: 'The request is not JSON.' }, { status: 400 });
  }
  const r = benchRequestSchema.safeParse(data);
  if (!r.success)
    return Response.json(
      { message: `Not a bench run: ${r.error.issues[0]?.path.join('.')} ${r.error.issues[0]?.message}.` },
      { status: 400 },
    );
  return new Response(benchStream(r.data, request.signal), {
    headers: { 'content-type': 'application/x-ndjson', 'cache-control': 'no-store' },
  });
}
