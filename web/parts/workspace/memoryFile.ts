/** The project as it stands in this page, as an exchange file: for when the server has it no longer, or not yet. */
import { FILE_FORMAT, SCHEMA_VERSION, type DesignDocument, type ProjectFile } from '@skiametra/core/design';
import type { WorkspaceData } from '../../server/store';
import type { Content } from './content';

interface Here {
  project: WorkspaceData['project'];
  versions: WorkspaceData['versions'];
  airframes: WorkspaceData['airframes'];
  versionId: number;
  content: Content;
}

/** @param document of the open version; the one in view unless another is given */
export function memoryFile(here: Here, document: DesignDocument = here.content.document): ProjectFile {
  // earlier saves laid under the present are no versions
  const versions = here.versions.flatMap((v) => {
    const own = v.id === here.versionId ? document : v.document;
    return v.id > 0 && own ? [{ ...v, document: own }] : [];
  });
  const vKey = new Map(versions.map((v, i) => [v.id, `v${i + 1}`]));
  const aKey = new Map(here.airframes.map((a, i) => [a.id, `a${i + 1}`]));
  const tKey = new Map(here.content.tests.map((t, i) => [t.id, `t${i + 1}`]));
  const named = (d: DesignDocument): DesignDocument => ({
    ...d,
    calibration: { ...d.calibration, from: d.calibration.from.map((k) => tKey.get(k) ?? k) },
  });
  return {
    format: FILE_FORMAT,
    schemaVersion: SCHEMA_VERSION,
    project: { name: here.project.name, aircraft: here.project.aircraft },
    versions: versions.map((v) => ({
      key: vKey.get(v.id)!,
      name: v.name,
      parent: v.parentId === null ? null : (vKey.get(v.parentId) ?? null),
      reason: v.reason,
      document: named(v.document),
    })),
    airframes: here.airframes.map((a) => ({
      key: aKey.get(a.id)!,
      name: a.name,
      version: vKey.get(a.versionId)!,
      note: a.note,
    })),
    tests: here.content.tests.map((t) => ({
      key: tKey.get(t.id)!,
      version: vKey.get(t.versionId)!,
      airframe: t.airframeId === null ? null : (aKey.get(t.airframeId) ?? null),
      body: t.body,
    })),
  };
}
