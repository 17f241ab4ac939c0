/**
 * The editable content of a workspace and its one reducer. Content is a design document plus the project's
 * tests; every edit is one undo step; an edit that the schema refuses leaves the old state as it was.
 */
import { capital } from '../capital';
import {
  documentSchema,
  getPath,
  referenceProblems,
  problemOf,
  setPath,
  testBodySchema,
  type DesignDocument,
  type TestBody,
} from '@skiametra/core/design';

export interface ContentTest {
  id: string;
  versionId: number;
  airframeId: number | null;
  body: TestBody;
}
export interface Content {
  document: DesignDocument;
  tests: ContentTest[];
}

export type Edit =
  | { type: 'set'; path: string; value: unknown }
  | { type: 'apply'; changes: readonly { path: string; value: unknown }[]; label?: string }
  | { type: 'insert'; path: string; value: unknown; at?: number | undefined }
  | { type: 'remove'; path: string; index: number }
  | { type: 'replace'; content: Content };

export type EditResult = { status: 'ok'; content: Content } | { status: 'refused'; message: string };

function listAt(content: Content, path: string): unknown[] {
  const list = getPath(content, path);
  return Array.isArray(list) ? list : [];
}

function changed(content: Content, edit: Edit): Content {
  switch (edit.type) {
    case 'set':
      return setPath(content, edit.path, edit.value);
    case 'apply':
      return edit.changes.reduce((c, ch) => setPath(c, ch.path, ch.value), content);
    case 'insert': {
      const list = listAt(content, edit.path);
      const at = edit.at ?? list.length;
      return setPath(content, edit.path, [...list.slice(0, at), edit.value, ...list.slice(at)]);
    }
    case 'remove':
      return setPath(
        content,
        edit.path,
        listAt(content, edit.path).filter((_, i) => i !== edit.index),
      );
    case 'replace':
      return edit.content;
  }
}

const rising = (list: readonly Record<string, unknown>[], key: string) =>
  list.every((e, i) => i === 0 || Number(e[key]) >= Number(list[i - 1]?.[key]));

/** A list of stations in the order of the drawing, whichever end was typed first; the same list where it is in order. */
function sorted<T extends object>(list: readonly T[], key: keyof T & string): T[] {
  const rows = list as unknown as Record<string, unknown>[];
  if (!Array.isArray(list) || rising(rows, key)) return list as T[];
  return [...list].sort((a, b) => Number(a[key]) - Number(b[key]));
}

/** Stations of body, pods and surfaces put in order: entered tail-first they are as right as nose-first. */
function inOrder(content: Content): Content {
  const design = content.document?.design;
  // what is not of the expected form is left to the schema to refuse
  if (!Array.isArray(design?.body) || !Array.isArray(design.surfaces)) return content;
  const body = sorted(design.body, 'x'),
    surfaces = design.surfaces.map((s) => {
      if (!Array.isArray(s?.stations)) return s;
      const stations = sorted(s.stations, 'y');
      return stations === s.stations ? s : { ...s, stations };
    });
  const same = body === design.body && surfaces.every((s, i) => s === design.surfaces[i]);
  if (same) return content;
  return { ...content, document: { ...content.document, design: { ...design, body, surfaces } } };
}

/** Applies an edit; the result is checked against the schema and for broken references. */
export function reduceContent(content: Content, edit: Edit): EditResult {
  const next = inOrder(changed(content, edit));
  if (next.document !== content.document) {
    const parsed = documentSchema.safeParse(next.document);
    if (!parsed.success) return { status: 'refused', message: begun(problemOf(parsed.error).what) };
    const problem = referenceProblems(next.document)[0];
    if (problem) return { status: 'refused', message: `${begun(problem)}.` };
  }
  for (const t of next.tests) {
    if (content.tests.includes(t)) continue;
    const parsed = testBodySchema.safeParse(t.body);
    if (!parsed.success) return { status: 'refused', message: begun(problemOf(parsed.error).what) };
  }
  return { status: 'ok', content: next };
}

/** As the beginning of a sentence: the field says itself where it is. */
const begun = capital;
