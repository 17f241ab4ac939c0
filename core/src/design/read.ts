/**
 * Parse once at the edge: unknown JSON becomes a core type or one clear sentence.
 */
import type { z } from 'zod';
import { FILE_FORMAT, projectFileSchema, type ProjectFile } from './project';
import { referenceProblems } from './references';
import { SCHEMA_VERSION, documentSchema, type DesignDocument } from './schema';
import { upgradeDocument, upgradeProjectFile } from './upgrades';

export type ReadResult<T> = { status: 'ok'; value: T } | { status: 'error'; message: string };

const fail = (message: string) => ({ status: 'error' as const, message });

/** Limits in words; the bare number stands in ⟦ ⟧, SI, for whoever can show it in a person's units. */
function plainIssue(issue: z.ZodError['issues'][number]): string {
  if (issue.code === 'too_small' && issue.origin === 'number')
    return `must be ${issue.inclusive ? 'at least' : 'above'} ⟦${issue.minimum}⟧`;
  if (issue.code === 'too_big' && issue.origin === 'number') return `must be at most ⟦${issue.maximum}⟧`;
  if (issue.code === 'too_small') return `needs at least ${issue.minimum}`;
  if (issue.code === 'too_big') return `may have at most ${issue.maximum}`;
  if (issue.code === 'invalid_type') return plainKind(issue);
  if (issue.code === 'unrecognized_keys')
    return `holds ${issue.keys.map((k) => `“${k}”`).join(', ')}, which does not belong here`;
  if (issue.code === 'invalid_value') return `must be ${oneOf(issue.values)}`;
  if (issue.code === 'invalid_union') {
    const kinds = / Expected (.*)$/.exec(issue.message)?.[1];
    return kinds
      ? `must be one of ${kinds.replaceAll("'", '').replaceAll(' | ', ', ')}`
      : 'is of no known kind';
  }
  return issue.message;
}

const KIND_WORDS: Record<string, string> = {
  number: 'a number',
  int: 'a whole number',
  string: 'text',
  boolean: 'yes or no (true or false)',
  array: 'a list',
  object: 'a group of values',
  tuple: 'a list of a fixed length',
  record: 'a group of values',
};

/** Not the kind that is asked: missing, not a number, or something else. */
function plainKind(issue: { expected: string; input?: unknown; message: string }): string {
  if (/received undefined$/.test(issue.message)) return 'is missing';
  return `must be ${KIND_WORDS[issue.expected] ?? issue.expected}`;
}

const oneOf = (values: readonly unknown[]) =>
  values.length === 1 ? String(values[0]) : `one of ${values.map(String).join(', ')}`;

/** A sentence without the marks around its limits. */
export function withoutMarks(sentence: string): string {
  return sentence.replace(/[⟦⟧]/g, '');
}

/** First problem of a Zod error: where it is, and what is wrong there. */
export function problemOf(error: z.ZodError): { place: string; what: string } {
  const issue = error.issues[0];
  const place = issue.path.length
    ? issue.path.map((p) => (typeof p === 'number' ? `#${p + 1}` : String(p))).join(' › ')
    : 'the document';
  return { place, what: `${plainIssue(issue)}.` };
}

/** The same as a sentence with its place. */
export function sentenceOf(error: z.ZodError): string {
  const { place, what } = problemOf(error);
  return `${place}: ${what}`;
}

const newer = (what: string, version: number) =>
  fail(
    `${what} was written by a newer Skiametra (schema ${version}, here ${SCHEMA_VERSION}); update this one to open it.`,
  );

/** A design document from unknown data. */
export function readDocument(data: unknown): ReadResult<DesignDocument> {
  const version =
    typeof data === 'object' && data !== null && 'schemaVersion' in data ? data.schemaVersion : 0;
  if (typeof version === 'number' && version > SCHEMA_VERSION) return newer('The document', version);
  const parsed = documentSchema.safeParse(upgradeDocument(data));
  if (!parsed.success) return fail(withoutMarks(sentenceOf(parsed.error)));
  const problems = referenceProblems(parsed.data);
  return problems.length ? fail(`${problems[0]}.`) : { status: 'ok', value: parsed.data };
}

/** A project file from unknown data; older versions are upgraded, newer ones refused. */
export function readProjectFile(data: unknown): ReadResult<ProjectFile> {
  if (typeof data !== 'object' || data === null || !('format' in data) || data.format !== FILE_FORMAT)
    return fail('This is not a Skiametra project file.');
  const version = 'schemaVersion' in data ? data.schemaVersion : undefined;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return fail('The file does not say which schema version it is.');
  if (version > SCHEMA_VERSION) return newer('The file', version);
  const parsed = projectFileSchema.safeParse(upgradeProjectFile(data, version));
  if (!parsed.success)
    return fail(`The file is damaged or was edited by hand: ${withoutMarks(sentenceOf(parsed.error))}`);
  const file = parsed.data;
  const keys = file.versions.map((v) => v.key);
  const known = new Set(keys);
  if (known.size !== keys.length) return fail('The file is damaged: two versions share a key.');
  for (const v of file.versions) {
    if (v.parent !== null && (!known.has(v.parent) || keys.indexOf(v.parent) >= keys.indexOf(v.key)))
      return fail(`The file is damaged: version “${v.name}” names a parent that does not come before it.`);
    const problems = referenceProblems(v.document);
    if (problems.length) return fail(`The file is damaged: in version “${v.name}” ${problems[0]}.`);
  }
  const frames = new Set(file.airframes.map((a) => a.key));
  if (
    file.airframes.some((a) => !known.has(a.version)) ||
    file.tests.some((t) => !known.has(t.version) || (t.airframe !== null && !frames.has(t.airframe)))
  )
    return fail('The file is damaged: a test or an airframe names a version that is not in it.');
  return { status: 'ok', value: file };
}
