/**
 * Empties the test database and loads the demo anew, so that every run begins alike. Refuses a database that is not
 * named for tests.
 */
import pg from 'pg';
import { prepareDatabase } from '../server/migrate';

const url = process.env.DATABASE_URL;
if (!url || !/browser|test/.test(new URL(url).pathname))
  throw new Error('DATABASE_URL must name a database with “browser” or “test” in its name; it is emptied.');
await prepareDatabase(url);
const client = new pg.Client({ connectionString: url });
await client.connect();
await client.query('TRUNCATE projects, people RESTART IDENTITY CASCADE');
await client.end();
await prepareDatabase(url);
