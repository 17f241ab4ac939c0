import { sql } from 'drizzle-orm';
import { getDb } from '../../../server/connection';
import { faultOf } from '../../../server/faults';

export const dynamic = 'force-dynamic';

/** 200 once the server and its database answer; else which part does not, and why. */
export async function GET(): Promise<Response> {
  const headers = { 'cache-control': 'no-store' };
  try {
    await getDb().execute(sql`select 1`);
    return Response.json({ status: 'ok', parts: { server: 'ok', database: 'ok' } }, { headers });
  } catch (e) {
    const { message, status } = faultOf(e);
    const parts = { server: 'ok', database: status === 507 ? 'no room' : 'away' };
    return Response.json({ status: 'not well', parts, why: message }, { status: 503, headers });
  }
}
