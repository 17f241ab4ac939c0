/** A project read from a file. */

export const MAX_FILE = 600_000_000;

type Opened =
  { status: 'ok'; value: { projectId: number; versionId: number } } | { status: 'refused'; message: string };

/** Sends a project file as it is; the server reads it. */
export async function openFile(file: File): Promise<Opened> {
  const r = await fetch('/api/import', { method: 'POST', body: file });
  return (await r.json()) as Opened;
}
