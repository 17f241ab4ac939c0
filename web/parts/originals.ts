/** Files of loggers as they came, kept on the server beside the test they belong to. */

export interface Original {
  id: number;
  name: string;
  /** of its bytes, hexadecimal */ sum: string;
  size: number;
  addedAt: string;
}

/** Keeps a file byte for byte. @param lost how the sentence begins when it is not @returns its sum */
export async function keepOriginal(
  testId: string,
  file: File,
  lost = `${file.name} could not be kept, and nothing of it was taken`,
): Promise<{ status: 'ok'; sum: string } | { status: 'error'; message: string }> {
  try {
    const address = `/api/tests/${testId}/files?name=${encodeURIComponent(file.name)}`;
    const r = await fetch(address, { method: 'POST', body: file });
    const answer = (await r.json()) as { status: string; message?: string; value?: { sum: string } };
    return answer.status === 'ok' && answer.value
      ? { status: 'ok', sum: answer.value.sum }
      : { status: 'error', message: `${lost}: ${answer.message}` };
  } catch {
    return { status: 'error', message: `${lost}: the server does not answer. Open it again later.` };
  }
}

export async function originalsOf(testId: string): Promise<Original[]> {
  const r = await fetch(`/api/tests/${testId}/files`);
  return ((await r.json()) as { value: Original[] }).value;
}
