/** Errors of the database in words, and whether trying again helps. */

interface Coded {
  code?: unknown;
  cause?: unknown;
  message?: unknown;
}

/** The code of an error or of what caused it: of PostgreSQL (`53100`) or of the network (`ECONNREFUSED`). */
function codeOf(e: unknown): string {
  for (let x = e as Coded | undefined, n = 0; x && n < 5; x = x.cause as Coded | undefined, n++)
    if (typeof x.code === 'string') return x.code;
  return '';
}

export interface Fault {
  message: string;
  /** whether it may pass by itself */
  retry: boolean;
  status: 400 | 500 | 503 | 507;
}

export function faultOf(e: unknown): Fault {
  const code = codeOf(e);
  if (code === '53100' || code === 'ENOSPC')
    return { message: 'The disk of the database is full: make room on it.', retry: true, status: 507 };
  // 08 connection, 53 resources, 57 stopped by an operator, 58 system, 40 rolled back, 55P03 locked
  if (/^(08|53|57|58|40|55P03)/.test(code) || /^E[A-Z]+$/.test(code))
    return { message: 'The database does not answer.', retry: true, status: 503 };
  if (/timeout|terminat|Connection/i.test(e instanceof Error ? e.message : ''))
    return { message: 'The database does not answer.', retry: true, status: 503 };
  if (code.startsWith('22') || code.startsWith('23'))
    return { message: 'The database cannot hold this as it is written.', retry: false, status: 400 };
  return { message: 'The server failed at this; its window says why.', retry: false, status: 500 };
}

/** Runs the work of a route; a fault becomes its sentence. */
export async function answered(work: () => Promise<Response>): Promise<Response> {
  try {
    return await work();
  } catch (e) {
    const f = faultOf(e);
    if (!f.retry) console.error(e);
    return Response.json(
      { status: 'refused', message: f.message, retry: f.retry },
      { status: f.status, headers: { 'cache-control': 'no-store' } },
    );
  }
}
