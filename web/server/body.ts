/** Bodies of requests: capped while they stream, looked at before they are parsed, checked against a schema. */
import { z } from 'zod';
import { sentenceOf, withoutMarks } from '@skiametra/core/design';
import { cleanText, tooDeep } from './clean';

export type Body<T> = { value: T } | { refusal: Response };

export const refusal = (status: number, message: string) => ({
  refusal: Response.json({ status: 'refused', message }, { status }),
});

const megabytes = (bytes: number) => (bytes >= 1e6 ? `${bytes / 1e6} MB` : `${bytes / 1e3} kB`);

/** The text of a request, or null as soon as it proves longer than `most` bytes. */
async function textOf(request: Request, most: number): Promise<string | null> {
  if (Number(request.headers.get('content-length') ?? 0) > most) return null;
  if (!request.body) return '';
  const chunks: Uint8Array[] = [];
  let size = 0;
  const reader = request.body.getReader();
  for (;;) {
    const { value, done } = await reader.read();
    if (done) break;
    size += value.byteLength;
    if (size > most) {
      await reader.cancel();
      return null;
    }
    chunks.push(value);
  }
  return new TextDecoder().decode(Buffer.concat(chunks));
}

/** The body as JSON under a schema, or the answer that refuses it. @param what begins the sentence: `Not a bench run` */
export async function jsonBody<T>(
  request: Request,
  schema: z.ZodType<T>,
  most: number,
  what: string,
): Promise<Body<T>> {
  const text = await textOf(request, most);
  if (text === null) return refusal(413, `The request is larger than ${megabytes(most)}.`);
  if (tooDeep(text)) return refusal(400, `${what}: it is nested deeper than any document.`);
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return refusal(400, 'The request is not JSON.');
  }
  const r = schema.safeParse(cleanText(data));
  return r.success ? { value: r.data } : refusal(400, `${what}: ${withoutMarks(sentenceOf(r.error))}`);
}
