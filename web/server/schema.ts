/** Database tables. Documents are JSONB under their schema version; every save raises the row's revision. */
import {
  boolean,
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
import type { DesignDocument, LogRow, TestBody } from '@skiametra/core/design';

const when = (name: string) => timestamp(name, { withTimezone: true }).notNull().defaultNow();

export const people = pgTable('people', {
  id: serial('id').primaryKey(),
  name: text('name').notNull().unique(),
  units: text('units', { enum: ['metric', 'imperial'] })
    .notNull()
    .default('metric'),
  createdAt: when('created_at'),
});

export const projects = pgTable('projects', {
  id: serial('id').primaryKey(),
  name: text('name').notNull(),
  aircraft: text('aircraft').notNull(),
  demo: boolean('demo').notNull().default(false),
  createdAt: when('created_at'),
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
    revision: integer('revision').notNull().default(1),
    createdAt: when('created_at'),
    updatedAt: when('updated_at'),
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

/** A test card with its record; the log lies in `logs`, the measured numbers also in `measurements`. */
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
  },
  (t) => [index('tests_version').on(t.versionId)],
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
    origin: text('origin').notNull(),
    setAside: boolean('set_aside').notNull().default(false),
  },
  (t) => [index('measurements_test').on(t.testId)],
);

export const logs = pgTable('logs', {
  testId: integer('test_id')
    .primaryKey()
    .references(() => tests.id, { onDelete: 'cascade' }),
  name: text('name').notNull(),
  rows: jsonb('rows').$type<LogRow[]>().notNull(),
  remarks: jsonb('remarks').$type<string[]>().notNull(),
});

/** Section polars by the content of everything they depend on: a cache, safe to empty. */
export const polars = pgTable('polars', {
  key: text('key').primaryKey(),
  polar: jsonb('polar').$type<Polar>().notNull(),
  createdAt: when('created_at'),
});
