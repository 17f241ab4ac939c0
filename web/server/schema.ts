/** Database tables. Documents are JSONB under their schema version; every save raises the row's revision. */
import {
  boolean,
  customType,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  serial,
  text,
  timestamp,
  uniqueIndex,
} from 'drizzle-orm/pg-core';
import type { Polar } from '@skiametra/core/section';
import type {
  Conditions,
  DesignDocument,
  LogRow,
  Measurement,
  OwnMaterial,
  ReferenceModel,
  TestBody,
} from '@skiametra/core/design';
import type { Head } from './head';

const bytea = customType<{ data: Buffer }>({ dataType: () => 'bytea' });
const when = (name: string) => timestamp(name, { withTimezone: true }).notNull().defaultNow();

export const people = pgTable('people', {
  id: serial('id').primaryKey(),
  name: text('name').notNull().unique(),
  units: text('units', { enum: ['metric', 'imperial'] })
    .notNull()
    .default('metric'),
  createdAt: when('created_at'),
});

/** Things that somebody keeps for all projects, by name. @param column where each lies */
const ownTable = <T>(name: string, column: string) =>
  pgTable(
    name,
    {
      id: serial('id').primaryKey(),
      personId: integer('person_id')
        .notNull()
        .references(() => people.id, { onDelete: 'cascade' }),
      name: text('name').notNull(),
      body: jsonb(column).$type<T>().notNull(),
      updatedAt: when('updated_at'),
    },
    (t) => [uniqueIndex(`${name}_of_person`).on(t.personId, t.name)],
  );

/** Materials that somebody weighed, bent or broke. */
export const materials = ownTable<OwnMaterial>('materials', 'material');
/** Aircraft whose proportions somebody knows. */
export const models = ownTable<ReferenceModel>('models', 'model');

export const projects = pgTable('projects', {
  id: serial('id').primaryKey(),
  name: text('name').notNull(),
  aircraft: text('aircraft').notNull(),
  demo: boolean('demo').notNull().default(false),
  createdAt: when('created_at'),
  /** deleted ones are kept for 30 days and can be brought back */
  deletedAt: timestamp('deleted_at', { withTimezone: true }),
  deletedBy: integer('deleted_by').references(() => people.id, { onDelete: 'set null' }),
});

export const versions = pgTable(
  'versions',
  {
    id: serial('id').primaryKey(),
    projectId: integer('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    name: text('name').notNull(),
    parentId: integer('parent_id'),
    reason: text('reason').notNull().default(''),
    schemaVersion: integer('schema_version').notNull(),
    document: jsonb('document').$type<DesignDocument>().notNull(),
    /** what the shelf shows of it; null until it is next needed */
    head: jsonb('head').$type<Head>(),
    revision: integer('revision').notNull().default(1),
    createdAt: when('created_at'),
    updatedAt: when('updated_at'),
    savedBy: integer('saved_by').references(() => people.id, { onDelete: 'set null' }),
  },
  (t) => [index('versions_project').on(t.projectId)],
);

/** Earlier saves of a version: nothing that was saved is lost when another save replaces it. */
export const revisions = pgTable(
  'revisions',
  {
    id: serial('id').primaryKey(),
    versionId: integer('version_id')
      .notNull()
      .references(() => versions.id, { onDelete: 'cascade' }),
    revision: integer('revision').notNull(),
    document: jsonb('document').$type<DesignDocument>().notNull(),
    /** a named one is kept for ever */
    name: text('name'),
    savedAt: when('saved_at'),
    savedBy: integer('saved_by').references(() => people.id, { onDelete: 'set null' }),
  },
  (t) => [uniqueIndex('revisions_once').on(t.versionId, t.revision)],
);

export const airframes = pgTable('airframes', {
  id: serial('id').primaryKey(),
  projectId: integer('project_id')
    .notNull()
    .references(() => projects.id, { onDelete: 'cascade' }),
  versionId: integer('version_id')
    .notNull()
    .references(() => versions.id, { onDelete: 'cascade' }),
  name: text('name').notNull(),
  note: text('note').notNull().default(''),
});

/** A test card with its record; the files of its logs lie in `log_files`, the measured numbers also in `measurements`. */
export const tests = pgTable(
  'tests',
  {
    id: serial('id').primaryKey(),
    projectId: integer('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    versionId: integer('version_id')
      .notNull()
      .references(() => versions.id, { onDelete: 'cascade' }),
    airframeId: integer('airframe_id').references(() => airframes.id, { onDelete: 'set null' }),
    body: jsonb('body').$type<TestBody>().notNull(),
    revision: integer('revision').notNull().default(1),
    createdAt: when('created_at'),
    updatedAt: when('updated_at'),
    savedBy: integer('saved_by').references(() => people.id, { onDelete: 'set null' }),
  },
  (t) => [index('tests_version').on(t.versionId)],
);

/** Earlier saves of a test, without its log: the log's own file is kept in `log_files`. */
export const testRevisions = pgTable(
  'test_revisions',
  {
    id: serial('id').primaryKey(),
    testId: integer('test_id')
      .notNull()
      .references(() => tests.id, { onDelete: 'cascade' }),
    revision: integer('revision').notNull(),
    body: jsonb('body').$type<TestBody>().notNull(),
    name: text('name'),
    savedAt: when('saved_at'),
    savedBy: integer('saved_by').references(() => people.id, { onDelete: 'set null' }),
  },
  (t) => [uniqueIndex('test_revisions_once').on(t.testId, t.revision)],
);

export const measurements = pgTable(
  'measurements',
  {
    id: serial('id').primaryKey(),
    testId: integer('test_id')
      .notNull()
      .references(() => tests.id, { onDelete: 'cascade' }),
    quantity: text('quantity').notNull(),
    state: text('state').notNull(),
    value: doublePrecision('value').notNull(),
    sigma: doublePrecision('sigma').notNull(),
    source: text('source').notNull().default('typed'),
    /** how it was got */ origin: text('origin').notNull(),
    leg: text('leg'),
    part: text('part'),
    ofCase: text('of_case'),
    conditions: jsonb('conditions').$type<Conditions>(),
    segment: jsonb('segment').$type<Measurement['segment']>(),
    /** why it is set aside */ reason: text('reason'),
    setAside: boolean('set_aside').notNull().default(false),
  },
  (t) => [index('measurements_test').on(t.testId)],
);

/** Rows as versions before schema 8 kept them; each becomes a file when the database is prepared. */
export const logs = pgTable('logs', {
  testId: integer('test_id')
    .primaryKey()
    .references(() => tests.id, { onDelete: 'cascade' }),
  name: text('name').notNull(),
  rows: jsonb('rows').$type<LogRow[]>().notNull(),
  remarks: jsonb('remarks').$type<string[]>().notNull(),
});

/** Files as they came from loggers, byte for byte, compressed. */
export const logFiles = pgTable(
  'log_files',
  {
    id: serial('id').primaryKey(),
    testId: integer('test_id')
      .notNull()
      .references(() => tests.id, { onDelete: 'cascade' }),
    name: text('name').notNull(),
    /** of the bytes as they came, as hexadecimal */
    sha256: text('sha256').notNull(),
    size: integer('size').notNull(),
    gzip: bytea('gzip').notNull(),
    addedAt: when('added_at'),
  },
  (t) => [uniqueIndex('log_files_once').on(t.testId, t.sha256)],
);

/** Of this installation: the secret that signs who is working. */
export const settings = pgTable('settings', {
  key: text('key').primaryKey(),
  value: text('value').notNull(),
});

/** Section polars by the content of everything they depend on: a cache, safe to empty. */
export const polars = pgTable('polars', {
  key: text('key').primaryKey(),
  polar: jsonb('polar').$type<Polar>().notNull(),
  createdAt: when('created_at'),
});
