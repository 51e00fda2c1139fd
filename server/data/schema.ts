import { boolean, customType, index, integer, jsonb, pgTable, primaryKey, serial, text, timestamp } from 'drizzle-orm/pg-core';

const times = {
  createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  updatedAt: timestamp('updated_at', { withTimezone: true }).notNull().defaultNow(),
};

export const projects = pgTable('projects', {
  id: text('id').primaryKey(),
  version: integer('version').notNull(),
  data: jsonb('data').notNull(),
  ...times,
});

const owned = {
  projectId: text('project_id')
    .notNull()
    .references(() => projects.id, { onDelete: 'cascade' }),
  id: text('id').notNull(),
  version: integer('version').notNull(),
  data: jsonb('data').notNull(),
  ...times,
};

export const openings = pgTable('openings', owned, (t) => [primaryKey({ columns: [t.projectId, t.id] })]);
export const things = pgTable('things', owned, (t) => [primaryKey({ columns: [t.projectId, t.id] })]);
export const stock = pgTable('stock', owned, (t) => [primaryKey({ columns: [t.projectId, t.id] })]);
export const slides = pgTable('slides', owned, (t) => [primaryKey({ columns: [t.projectId, t.id] })]);
export const hardware = pgTable('hardware', owned, (t) => [primaryKey({ columns: [t.projectId, t.id] })]);
export const people = pgTable('people', owned, (t) => [primaryKey({ columns: [t.projectId, t.id] })]);
export const pieces = pgTable('pieces', owned, (t) => [primaryKey({ columns: [t.projectId, t.id] })]);
export const cuttings = pgTable('cuttings', owned, (t) => [primaryKey({ columns: [t.projectId, t.id] })]);
export const buildings = pgTable('buildings', owned, (t) => [primaryKey({ columns: [t.projectId, t.id] })]);
export const log = pgTable('log', owned, (t) => [primaryKey({ columns: [t.projectId, t.id] })]);

/** What became of parts: rows are added and never changed. */
export const made = pgTable('made', owned, (t) => [primaryKey({ columns: [t.projectId, t.id] })]);

/** What the tape found in pieces once they stood there: rows are added and never changed. */
export const readings = pgTable('readings', owned, (t) => [primaryKey({ columns: [t.projectId, t.id] })]);

const bytea = customType<{ data: Uint8Array }>({ dataType: () => 'bytea' });

/** Photos of the log, scaled down: rows are added and never changed. */
export const photos = pgTable(
  'photos',
  {
    projectId: text('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    id: text('id').notNull(),
    bytes: bytea('bytes').notNull(),
    width: integer('width').notNull(),
    height: integer('height').notNull(),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [primaryKey({ columns: [t.projectId, t.id] })],
);

/** Phones that were paired: what is kept of their token cannot be read back. */
export const phones = pgTable('phones', {
  id: text('id').primaryKey(),
  hash: text('hash').notNull(),
  name: text('name').notNull(),
  pairedAt: timestamp('paired_at', { withTimezone: true }).notNull().defaultNow(),
  usedAt: timestamp('used_at', { withTimezone: true }).notNull().defaultNow(),
});

/**
 * Every committed edit, with what it changed; undo and redo walk along it. Of what was made or taken out the document
 * stands here, of an edit the difference, or both documents where that is not exact.
 */
export const changes = pgTable(
  'changes',
  {
    seq: serial('seq').primaryKey(),
    projectId: text('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    kind: text('kind').notNull(),
    recordId: text('record_id').notNull(),
    label: text('label').notNull(),
    before: jsonb('before'),
    after: jsonb('after'),
    /** What differs between the document before and after, to be walked either way. */
    delta: jsonb('delta'),
    /** The device that the edit came from; null for what was edited before that was kept. */
    device: text('device'),
    /** Taken back, and open to be done again. */
    undone: boolean('undone').notNull().default(false),
    /** Taken back, and closed by a later edit of the same record. */
    closed: boolean('closed').notNull().default(false),
    at: timestamp('at', { withTimezone: true }).notNull().defaultNow(),
  },
  (t) => [index('changes_by_record').on(t.projectId, t.kind, t.recordId, t.seq)],
);

/** The version that the documents of this folder are in: one row, none in a folder that is new. */
export const folder = pgTable('folder', { id: integer('id').primaryKey(), documents: integer('documents').notNull() });
