import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { DEFAULT_PROFILE, type Profile } from '../words/profile.ts';
import { jsonColumn, shapes } from './json-column.ts';
import { amendment, hole, holeReading } from './schema/beds.ts';
import { site, area, spot, photo, sample, labReport } from './schema/ground.ts';
import { folder } from './schema/folders.ts';
import { tableImport } from './schema/imports.ts';
import { judgement, judgingProfile, reminder } from './schema/judgements.ts';
import { film, frame, reading, result } from './schema/readings.ts';
import { trial, trialPiece } from './schema/trials.ts';
import { logView } from './schema/views.ts';
import { vessel, method, test, run, mark, topReading, blank, blankReading, gauge } from './schema/tests.ts';

/** The tables, a file a part; what belongs to all of them stands here. */
export * from './schema/beds.ts';
export * from './schema/folders.ts';
export * from './schema/ground.ts';
export * from './schema/imports.ts';
export * from './schema/judgements.ts';
export * from './schema/lessons.ts';
export * from './schema/outcomes.ts';
export * from './schema/people.ts';
export * from './schema/readings.ts';
export * from './schema/sessions.ts';
export * from './schema/tests.ts';
export * from './schema/trials.ts';
export * from './schema/views.ts';

export const profile = sqliteTable('profile', {
  id: text('id').primaryKey(),
  settings: jsonColumn<Profile>('settings', shapes.settings, DEFAULT_PROFILE).notNull()
});

/** One row a change: what happened, to whom, and the rows before and after, which undo reads. */
export const event = sqliteTable(
  'event',
  {
    /** The id the browser gave the command, so that a command sent twice is done once. */
    id: text('id').primaryKey(),
    /** When it happened, by the corrected clock of the device. */
    at: integer('at').notNull(),
    /** When the server wrote it. */
    receivedAt: integer('received_at').notNull(),
    who: text('who').notNull(),
    what: text('what').notNull(),
    testId: text('test_id'),
    /** A short line of figures for the record page. */
    detail: jsonColumn<Record<string, string | number | null>>('detail', shapes.words, {}).notNull(),
    changes: jsonColumn<RowChange[]>('changes', shapes.changes).notNull(),
    undoneAt: integer('undone_at')
  },
  (t) => [index('event_test').on(t.testId, t.receivedAt)]
);

export const TABLES = {
  site,
  area,
  spot,
  photo,
  sample,
  labReport,
  hole,
  holeReading,
  amendment,
  judgement,
  judgingProfile,
  reminder,
  trial,
  trialPiece,
  folder,
  logView,
  tableImport,
  vessel,
  method,
  test,
  run,
  mark,
  topReading,
  blank,
  blankReading,
  gauge,
  film,
  frame,
  reading,
  result,
  profile
} as const;
export type TableName = keyof typeof TABLES;

/** A row of a table as it is read, and as it is put in. */
export type RowOf<T extends TableName> = (typeof TABLES)[T]['$inferSelect'];
export type NewRowOf<T extends TableName> = (typeof TABLES)[T]['$inferInsert'];

/** A row before and after; null where there was or is none. */
export type RowChange = {
  table: TableName;
  id: string;
  before: Record<string, unknown> | null;
  after: Record<string, unknown> | null;
};
