/** Calls of the browser that save and read: plain requests, which a page of an earlier build can still make. */
import type { DesignDocument, TestBody } from '@skiametra/core/design';
import type { SaveResult } from '../../server/store';

export type SaveAnswer<T> =
  { status: 'ok'; value: SaveResult<T> } | { status: 'refused'; message: string; retry?: boolean };

/** The server answered, and could not do it just now: to be tried again. */
export class AwayError extends Error {}

async function put<T>(address: string, body: unknown): Promise<SaveAnswer<T>> {
  const r = await fetch(address, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  const answer = (await r.json().catch(() => null)) as SaveAnswer<T> | null;
  if (answer === null) throw new AwayError(`The server answered ${r.status} without a reason.`);
  if (answer.status === 'refused' && answer.retry === true) throw new AwayError(answer.message);
  return answer;
}

export const saveVersion = (id: number, base: number, document: DesignDocument) =>
  put<DesignDocument>(`/api/versions/${id}`, { base, document });

export const saveTest = (id: number, base: number, body: TestBody) =>
  put<TestBody>(`/api/tests/${id}`, { base, body });

/** The document of another version; null where it cannot be had. */
export async function readVersion(id: number): Promise<DesignDocument | null> {
  const r = await fetch(`/api/versions/${id}`).catch(() => null);
  if (!r?.ok) return null;
  const answer = (await r.json().catch(() => null)) as { value?: DesignDocument | null } | null;
  return answer?.value ?? null;
}
