/** Calls of the server's actions: what does not get through is a sentence too. */
import type { Answer } from '../server/actions';

/** A page of an earlier build names actions that the server does not know any more. */
const updated = (e: unknown) =>
  e instanceof Error && /UnrecognizedAction|was not found on the server/.test(`${e.name} ${e.message}`);

/** The answer of a call; when there is none, why. Nothing was done then. */
export async function called<T>(call: Promise<Answer<T>>): Promise<Answer<T>> {
  try {
    return await call;
  } catch (e) {
    const message = updated(e)
      ? 'The application was updated meanwhile: reload this page, then do it again.'
      : 'The server does not answer; nothing was done.';
    return { status: 'refused', message };
  }
}
