/** A project to and from the exchange file. */
import { asc, eq } from 'drizzle-orm';
import { FILE_FORMAT, SCHEMA_VERSION, type ProjectFile, type TestBody } from '@skiametra/core/design';
import { measurementsOf } from '@skiametra/core/trial';
import type { Db } from './connection';
import { airframes, logs, measurements, projects, tests, versions } from './schema';
import { present } from './store';

/** A flight that comes without measurements is reduced as one typed here would be. */
function reduced(body: TestBody): TestBody {
  return body.record.flown && body.measurements.length === 0 && !body.bench
    ? { ...body, measurements: measurementsOf(body).measurements }
    : body;
}

/** Stores a checked file as a new project; all of it or nothing. @returns ids of the project and its newest version */
export async function importProject(
  db: Db,
  file: ProjectFile,
  demo = false,
): Promise<{ projectId: number; versionId: number }> {
  return db.transaction(async (tx) => {
    const [project] = await tx
      .insert(projects)
      .values({ name: file.project.name, aircraft: file.project.aircraft, demo })
      .returning({ id: projects.id });
    const ids = new Map<string, number>();
    for (const v of file.versions) {
      const [row] = await tx
        .insert(versions)
        .values({
          projectId: project.id,
          name: v.name,
          parentId: v.parent === null ? null : ids.get(v.parent)!,
          reason: v.reason,
          schemaVersion: SCHEMA_VERSION,
          document: v.document,
        })
        .returning({ id: versions.id });
      ids.set(v.key, row.id);
    }
    const frames = new Map<string, number>();
    for (const a of file.airframes) {
      const [row] = await tx
        .insert(airframes)
        .values({ projectId: project.id, versionId: ids.get(a.version)!, name: a.name, note: a.note })
        .returning({ id: airframes.id });
      frames.set(a.key, row.id);
    }
    const renamed = new Map<string, number>();
    for (const t of file.tests) {
      const { log, ...rest } = reduced(t.body);
      const [row] = await tx
        .insert(tests)
        .values({
          projectId: project.id,
          versionId: ids.get(t.version)!,
          airframeId: t.airframe === null ? null : frames.get(t.airframe)!,
          body: { ...rest, log: null },
        })
        .returning({ id: tests.id });
      renamed.set(t.key, row.id);
      if (log) await tx.insert(logs).values({ testId: row.id, ...log });
      if (rest.measurements.length)
        await tx.insert(measurements).values(
          rest.measurements.map((m) => ({
            testId: row.id,
            quantity: m.quantity,
            state: m.state,
            value: m.value,
            sigma: m.sigma,
            origin: m.from,
            setAside: m.setAside,
          })),
        );
    }
    // calibrations name their tests: carry the names over to the new ids
    for (const v of file.versions) {
      if (!v.document.calibration.from.length) continue;
      const from = v.document.calibration.from.map((k) => String(renamed.get(k) ?? k));
      await tx
        .update(versions)
        .set({ document: { ...v.document, calibration: { ...v.document.calibration, from } } })
        .where(eq(versions.id, ids.get(v.key)!));
    }
    return { projectId: project.id, versionId: ids.get(file.versions[file.versions.length - 1].key)! };
  });
}

/** The whole project as an exchange file; keys are v1, v2 …, a1 …, t1 … in order of age. Null when there is no such project. */
export async function exportProject(db: Db, projectId: number): Promise<ProjectFile | null> {
  return db.transaction(
    async (tx) => {
      const [project] = await tx.select().from(projects).where(eq(projects.id, projectId));
      if (!project) return null;
      const vs = await tx
        .select()
        .from(versions)
        .where(eq(versions.projectId, projectId))
        .orderBy(asc(versions.id));
      const as = await tx
        .select()
        .from(airframes)
        .where(eq(airframes.projectId, projectId))
        .orderBy(asc(airframes.id));
      const ts = await tx
        .select()
        .from(tests)
        .leftJoin(logs, eq(logs.testId, tests.id))
        .where(eq(tests.projectId, projectId))
        .orderBy(asc(tests.id));
      const vKey = new Map(vs.map((v, i) => [v.id, `v${i + 1}`]));
      const aKey = new Map(as.map((a, i) => [a.id, `a${i + 1}`]));
      const tKey = new Map(ts.map((t, i) => [String(t.tests.id), `t${i + 1}`]));
      return {
        format: FILE_FORMAT,
        schemaVersion: SCHEMA_VERSION,
        project: { name: project.name, aircraft: project.aircraft },
        versions: vs
          .map((row) => ({ ...row, document: present(row.document) }))
          .map((v) => ({
            key: vKey.get(v.id)!,
            name: v.name,
            parent: v.parentId === null ? null : (vKey.get(v.parentId) ?? null),
            reason: v.reason,
            document: {
              ...v.document,
              calibration: {
                ...v.document.calibration,
                from: v.document.calibration.from.map((k) => tKey.get(k) ?? k),
              },
            },
          })),
        airframes: as.map((a) => ({
          key: aKey.get(a.id)!,
          name: a.name,
          version: vKey.get(a.versionId)!,
          note: a.note,
        })),
        tests: ts.map(({ tests: t, logs: l }) => ({
          key: tKey.get(String(t.id))!,
          version: vKey.get(t.versionId)!,
          airframe: t.airframeId === null ? null : aKey.get(t.airframeId)!,
          body: { ...t.body, log: l ? { name: l.name, rows: l.rows, remarks: l.remarks } : null },
        })),
      };
    },
    { isolationLevel: 'repeatable read' },
  );
}
