'use server';
/** The application's server actions: inputs are checked here, the work is done beside. Saves and imports have routes. */
import { z } from 'zod';
import { BEGINNINGS } from '@skiametra/core/start';
import { ownMaterialSchema, readDocument, referenceSchema, testBodySchema } from '@skiametra/core/design';
import { cleanText } from './clean';
import { getDb } from './connection';
import { faultOf } from './faults';
import { nameSave } from './history';
import { idSchema } from './ids';
import { personNamed, setUnits, type Person } from './people';
import { currentPersonId, signIn } from './person';
import {
  materialShelf,
  modelShelf,
  MOST_KEPT,
  type Kept,
  type KeptMaterial,
  type KeptModel,
} from './ownShelf';
import { createProject, deleteProject, restoreProject } from './projects';
import { createTest, createVersion, type TestRow } from './store';

/** @property retry the server could not answer just now: the same call may succeed later */
export type Answer<T> = { status: 'ok'; value: T } | { status: 'refused'; message: string; retry?: boolean };
const refused = (message: string) => ({ status: 'refused' as const, message });

/** Does the work; a fault of the database becomes its sentence. */
async function answer<T>(work: () => Promise<Answer<T>>): Promise<Answer<T>> {
  try {
    return await work();
  } catch (e) {
    const { message, retry } = faultOf(e);
    if (!retry) console.error(e);
    return { status: 'refused', message, retry };
  }
}

const nameSchema = z
  .string()
  .transform((s) => cleanText(s).trim())
  .pipe(z.string().min(1).max(80));

export async function createProjectAction(
  name: string,
  aircraft: string,
  from: string,
): Promise<Answer<{ projectId: number; versionId: number }>> {
  const parsed = z
    .object({ name: nameSchema, aircraft: nameSchema, from: z.enum(BEGINNINGS.map((b) => b.id)) })
    .safeParse({ name, aircraft, from });
  if (!parsed.success) return refused('Give the project and the aircraft a name of up to 80 characters.');
  const p = parsed.data,
    doc = BEGINNINGS.find((b) => b.id === p.from)!.make();
  return answer(async () => ({
    status: 'ok',
    value: await createProject(getDb(), p.name, p.aircraft, doc, await currentPersonId()),
  }));
}

export async function createVersionAction(
  parentId: number,
  name: string,
  reason: string,
  data: unknown,
): Promise<Answer<number>> {
  const doc = readDocument(cleanText(data));
  const parsed = z
    .object({ parentId: idSchema, name: nameSchema, reason: z.string().max(4000) })
    .safeParse({ parentId, name, reason });
  if (!parsed.success) return refused('Give the version a name of up to 80 characters.');
  if (doc.status === 'error') return refused(doc.message);
  const p = parsed.data;
  return answer(async () => {
    const by = await currentPersonId();
    const made = await createVersion(getDb(), p.parentId, p.name, cleanText(p.reason), doc.value, by);
    return made === null
      ? refused('The version this one grows from is gone.')
      : { status: 'ok', value: made };
  });
}

export async function createTestAction(versionId: number, data: unknown): Promise<Answer<TestRow>> {
  const body = testBodySchema.safeParse(cleanText(data));
  if (!idSchema.safeParse(versionId).success || !body.success) return refused('The card is not complete.');
  return answer(async () => {
    const made = await createTest(getDb(), versionId, body.data, await currentPersonId());
    return made === null ? refused('The version of this test is gone.') : { status: 'ok', value: made };
  });
}

const noProject = () => refused('There is no such project.');

/** Off the shelf; it can be brought back for 30 days. */
export async function deleteProjectAction(projectId: number): Promise<Answer<null>> {
  if (!idSchema.safeParse(projectId).success) return noProject();
  return answer(async () => {
    await deleteProject(getDb(), projectId, await currentPersonId());
    return { status: 'ok', value: null };
  });
}

export async function restoreProjectAction(projectId: number): Promise<Answer<null>> {
  if (!idSchema.safeParse(projectId).success) return noProject();
  return answer(async () =>
    (await restoreProject(getDb(), projectId))
      ? { status: 'ok', value: null }
      : refused('It was deleted more than 30 days ago and cannot be brought back: save it as a file.'),
  );
}

const saveName = z
  .object({ versionId: idSchema, revision: idSchema, name: z.string().trim().max(80) })
  .transform((v) => cleanText(v));

/** Names a save, so that it is never thinned out; an empty name takes the name off. */
export async function nameSaveAction(
  versionId: number,
  revision: number,
  name: string,
): Promise<Answer<null>> {
  const p = saveName.safeParse({ versionId, revision, name });
  if (!p.success) return refused('Give the save a name of up to 80 characters.');
  return answer(async () =>
    (await nameSave(getDb(), p.data.versionId, p.data.revision, p.data.name))
      ? { status: 'ok', value: null }
      : refused('This save is not among the kept ones any more.'),
  );
}

export async function signInAction(name: string): Promise<Answer<Person>> {
  const parsed = nameSchema.safeParse(name);
  if (!parsed.success) return refused('Type a name of up to 80 characters.');
  return answer(async () => {
    const person = await personNamed(getDb(), parsed.data);
    await signIn(person);
    return { status: 'ok', value: person };
  });
}

/** Units of whoever is signed in. */
export async function setUnitsAction(units: 'metric' | 'imperial'): Promise<Answer<null>> {
  if (!z.enum(['metric', 'imperial']).safeParse(units).success)
    return refused('Units are metric or imperial.');
  return answer(async () => {
    await setUnits(getDb(), await currentPersonId(), units);
    return { status: 'ok', value: null };
  });
}

type Shelf<T extends { name: string }> = {
  list(db: ReturnType<typeof getDb>, personId: number | null): Promise<Kept<T>[]>;
  keep(db: ReturnType<typeof getDb>, personId: number | null, thing: T): Promise<boolean>;
  drop(db: ReturnType<typeof getDb>, personId: number | null, id: number): Promise<void>;
};

async function listOwn<T extends { name: string }>(shelf: Shelf<T>): Promise<Answer<Kept<T>[]>> {
  return answer(async () => ({ status: 'ok', value: await shelf.list(getDb(), await currentPersonId()) }));
}

/** Keeps a thing under its name; one of that name is replaced. @param parsed null where it is not complete */
async function keepOwn<T extends { name: string }>(
  shelf: Shelf<T>,
  what: string,
  parsed: T | null,
): Promise<Answer<Kept<T>[]>> {
  if (parsed === null || parsed.name.trim() === '')
    return refused(`Give the ${what} a name and all its figures before it is kept.`);
  return answer(async () => {
    const by = await currentPersonId(),
      kept = await shelf.keep(getDb(), by, parsed);
    if (!kept) return refused(`The shelf holds ${MOST_KEPT}: take one ${what} away before another is kept.`);
    return { status: 'ok', value: await shelf.list(getDb(), by) };
  });
}

/** Takes a thing off the person's shelf; projects that took it in keep their copy. */
async function dropOwn<T extends { name: string }>(
  shelf: Shelf<T>,
  what: string,
  id: number,
): Promise<Answer<Kept<T>[]>> {
  if (!idSchema.safeParse(id).success) return refused(`There is no such ${what}.`);
  return answer(async () => {
    const by = await currentPersonId();
    await shelf.drop(getDb(), by, id);
    return { status: 'ok', value: await shelf.list(getDb(), by) };
  });
}

/** Materials that the person in the chair keeps for all projects. */
export async function listMaterialsAction(): Promise<Answer<KeptMaterial[]>> {
  return listOwn(materialShelf);
}

export async function keepMaterialAction(data: unknown): Promise<Answer<KeptMaterial[]>> {
  return keepOwn(materialShelf, 'material', ownMaterialSchema.safeParse(cleanText(data)).data ?? null);
}

export async function dropMaterialAction(id: number): Promise<Answer<KeptMaterial[]>> {
  return dropOwn(materialShelf, 'material', id);
}

/** Reference models that the person in the chair keeps for all projects. */
export async function listModelsAction(): Promise<Answer<KeptModel[]>> {
  return listOwn(modelShelf);
}

export async function keepModelAction(data: unknown): Promise<Answer<KeptModel[]>> {
  return keepOwn(modelShelf, 'model', referenceSchema.safeParse(cleanText(data)).data ?? null);
}

export async function dropModelAction(id: number): Promise<Answer<KeptModel[]>> {
  return dropOwn(modelShelf, 'model', id);
}
