import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** A table that was taken in: its tests and samples carry its id. */
export const tableImport = sqliteTable('table_import', {
  id: text('id').primaryKey(),
  /** Of the file. */
  name: text('name').notNull(),
  /** Of its bytes, so that the same file is known again. */
  digest: text('digest').notNull(),
  who: text('who').notNull(),
  startedAt: integer('started_at').notNull(),
  /** When rows of it were last written: one that was left half is taken back. */
  movedAt: integer('moved_at').notNull(),
  /** Rows that are to be taken in, and those that are. */
  rows: integer('rows').notNull(),
  done: integer('done').notNull(),
  /** Null while it is under way. */
  finishedAt: integer('finished_at'),
  undoneAt: integer('undone_at'),
  /** Tests that stayed when it was undone, because somebody had gone on with them. */
  stayed: integer('stayed')
});
