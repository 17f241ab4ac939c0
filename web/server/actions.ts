'use server';
/** The application's server actions: inputs are checked here, the work is done in `store.ts`. */
import { cookies } from 'next/headers';
import { z } from 'zod';
import { starterDocument, bitternDocument } from '@skiametra/core/demo';
import {
  readDocument,
  sentenceOf,
  withoutMarks,
  testBodySchema,
  type DesignDocument,
  type TestBody,
} from '@skiametra/core/design';
import { parseProjectJson } from '@skiametra/formats';
import { getDb } from './connection';
import { importProject } from './exchange';
import {
  createProject,
  createTest,
  createVersion,
  deleteProject,
  personNamed,
  saveTest,
  saveVersion,
  setUnits,
  type Person,
  type SaveResult,
  type TestRow,
} from './store';

export type Answer<T> = { status: 'ok'; value: T } | { status: 'refused'; message: string };
const refused = (message: string) => ({ status: 'refused' as const, message });
const idSchema = z.int().min(1);
const PERSON_COOKIE = 'skiametra-person';

async function personId(): Promise<number | null> {
  const raw = Number((await cookies()).get(PERSON_COOKIE)?.value);
  return Number.isInteger(raw) && raw > 0 ? raw : null;
}

export async function saveVersionAction(
  versionId: number,
  base: number,
  data: unknown,
): Promise<Answer<SaveResult<DesignDocument>>> {
  const ids = z.tuple([idSchema, idSchema]).safeParse([versionId, base]);
  const doc = readDocument(data);
  if (!ids.success) return refused('The version or its revision is not a number.');
  if (doc.status === 'error') return refused(doc.message);
  return { status: 'ok', value: await saveVersion(getDb(), versionId, base, doc.value, await personId()) };
}

export async function saveTestAction(
  testId: number,
  base: number,
  data: unknown,
): Promise<Answer<SaveResult<TestBody>>> {
  const body = testBodySchema.safeParse(data);
  if (!z.tuple([idSchema, idSchema]).safeParse([testId, base]).success)
    return refused('The test or its revision is not a number.');
  if (!body.success) return refused(withoutMarks(sentenceOf(body.error)));
  return { status: 'ok', value: await saveTest(getDb(), testId, base, body.data) };
}

const nameSchema = z.string().trim().min(1).max(80);

export async function createProjectAction(
  name: string,
  aircraft: string,
  from: 'plain' | 'bittern',
): Promise<Answer<{ projectId: number; versionId: number }>> {
  const parsed = z
    .object({ name: nameSchema, aircraft: nameSchema, from: z.enum(['plain', 'bittern']) })
    .safeParse({ name, aircraft, from });
  if (!parsed.success) return refused('Give the project and the aircraft a name of up to 80 characters.');
  const doc = parsed.data.from === 'bittern' ? bitternDocument() : starterDocument();
  return { status: 'ok', value: await createProject(getDb(), parsed.data.name, parsed.data.aircraft, doc) };
}

export async function createVersionAction(
  parentId: number,
  name: string,
  reason: string,
  data: unknown,
): Promise<Answer<number>> {
  const doc = readDocument(data);
  const parsed = z
    .object({ parentId: idSchema, name: nameSchema, reason: z.string().max(4000) })
    .safeParse({ parentId, name, reason });
  if (!parsed.success) return refused('Give the version a name of up to 80 characters.');
  if (doc.status === 'error') return refused(doc.message);
  const made = await createVersion(getDb(), parentId, parsed.data.name, reason, doc.value);
  return made === null ? refused('The version this one grows from is gone.') : { status: 'ok', value: made };
}

export async function createTestAction(versionId: number, data: unknown): Promise<Answer<TestRow>> {
  const body = testBodySchema.safeParse(data);
  if (!idSchema.safeParse(versionId).success || !body.success) return refused('The card is not complete.');
  const made = await createTest(getDb(), versionId, body.data);
  return made === null ? refused('The version of this test is gone.') : { status: 'ok', value: made };
}

export async function importProjectAction(
  text: string,
): Promise<Answer<{ projectId: number; versionId: number }>> {
  if (typeof text !== 'string') return refused('No file was received.');
  const file = parseProjectJson(text);
  if (file.status === 'error') return refused(file.message);
  return { status: 'ok', value: await importProject(getDb(), file.value) };
}

export async function deleteProjectAction(projectId: number): Promise<Answer<null>> {
  if (!idSchema.safeParse(projectId).success) return refused('There is no such project.');
  await deleteProject(getDb(), projectId);
  return { status: 'ok', value: null };
}

export async function signInAction(name: string): Promise<Answer<Person>> {
  const parsed = nameSchema.safeParse(name);
  if (!parsed.success) return refused('Type a name of up to 80 characters.');
  const person = await personNamed(getDb(), parsed.data);
  (await cookies()).set(PERSON_COOKIE, String(person.id), {
    httpOnly: true,
    sameSite: 'lax',
    path: '/',
    maxAge: 31_536_000,
  });
  return { status: 'ok', value: person };
}

export async function setUnitsAction(id: number, units: 'metric' | 'imperial'): Promise<Answer<null>> {
  if (!z.object({ id: idSchema, units: z.enum(['metric', 'imperial']) }).safeParse({ id, units }).success)
    return refused('Units are metric or imperial.');
  await setUnits(getDb(), id, units);
  return { status: 'ok', value: null };
}
