/** Run by the start command before serving. */
import { prepareDatabase } from './migrate';

const url = process.env.DATABASE_URL;
if (!url) throw new Error('DATABASE_URL is not set');
try {
  const loaded = await prepareDatabase(url);
  console.log(loaded ? 'Database ready; the demo was loaded.' : 'Database ready.');
} catch (e) {
  const reason = e instanceof Error ? e.message || (e as { code?: string }).code : String(e);
  console.error(
    `The database at ${new URL(url).host} cannot be used: ${reason}. Check that it runs and that the name and password are right.`,
  );
  process.exitCode = 1;
}
