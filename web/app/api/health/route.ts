import { sql } from 'drizzle-orm';
import { getDb } from '../../../server/connection';

export const dynamic = 'force-dynamic';

/** 200 once the server and its database answer. */
export async function GET(): Promise<Response> {
  try {
    await getDb().execute(sql`select 1`);
    return Response.json({ status: 'ok' });
  } catch {
    return Response.json({ status: 'no database' }, { status: 503 });
  }
}
