import { spawn } from 'node:child_process';
import { Readable } from 'node:stream';
import { dumpProgram, dumpEnvironment } from '../../../server/dump';
import { answered } from '../../../server/faults';

export const dynamic = 'force-dynamic';

/** The whole database as one file, streamed: the form that `npm run restore` takes. */
export function GET(): Promise<Response> {
  return answered(async () => {
    const args = ['--format=custom', '--no-owner', '--no-privileges'];
    const dump = spawn(dumpProgram(), args, { env: dumpEnvironment(), stdio: ['ignore', 'pipe', 'pipe'] });
    let said = '';
    dump.stderr.on('data', (d: Buffer) => {
      said += d.toString().slice(0, 2000);
    });
    dump.on('error', (e) => dump.stdout.destroy(e));
    // cut short rather than taken for whole
    dump.on('exit', (code) => {
      if (code === 0) return;
      console.error(said);
      dump.stdout.destroy(new Error('pg_dump failed'));
    });
    const day = new Date().toISOString().slice(0, 10);
    return new Response(Readable.toWeb(dump.stdout) as ReadableStream<Uint8Array>, {
      headers: {
        'content-type': 'application/octet-stream',
        'content-disposition': `attachment; filename="skiametra-${day}.dump"`,
        'cache-control': 'no-store',
      },
    });
  });
}
