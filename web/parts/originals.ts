/** Files of loggers as they came, kept on the server beside the test they belong to. */

export interface Original {
  id: number;
  name: string;
  size: number;
  addedAt: string;
}

/** Keeps a file byte for byte. @returns a sentence when it could not be kept */
export async function keepOriginal(testId: string, file: File): Promise<string | null> {
  const lost = `The readings of ${file.name} were taken, but the file itself could not be kept`;
  try {
    const address = `/api/tests/${testId}/files?name=${encodeURIComponent(file.name)}`;
    const r = await fetch(address, { method: 'POST', body: file });
    const answer = (await r.json()) as { status: string; message?: string };
    return answer.status === 'ok' ? null : `${lost}: ${answer.message}`;
  } catch {
    return `${lost}: the server does not answer. Open it again later.`;
  }
}

export async function originalsOf(testId: string): Promise<Original[]> {
  const r = await fetch(`/api/tests/${testId}/files`);
  return ((await r.json()) as { value: Original[] }).value;
}
