import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { LayerName } from '../core/jar/layers.ts';
import type { Prep, Profile, ReadingEntry, SampleDetails, Snapshot } from '../contract/records.ts';

/** Times are UTC milliseconds, ids are ULIDs, lengths mm, temperatures degC, volumes mL. */

export const sample = sqliteTable('sample', {
  id: text('id').primaryKey(),
  /** Letter and number, fit for tape; never used twice. */
  code: text('code').notNull().unique(),
  name: text('name').notNull(),
  purpose: text('purpose').notNull().$type<'garden' | 'build' | 'bore' | 'lesson'>(),
  note: text('note').notNull().default(''),
  details: text('details', { mode: 'json' }).notNull().$type<SampleDetails>().default({}),
  createdAt: integer('created_at').notNull()
});

export const vessel = sqliteTable('vessel', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  kind: text('kind').notNull().$type<'jar' | 'cylinder'>(),
  innerHeightMm: real('inner_height_mm').notNull(),
  innerDiameterMm: real('inner_diameter_mm').notNull(),
  baseThicknessMm: real('base_thickness_mm').notNull(),
  shoulderHeightMm: real('shoulder_height_mm').notNull(),
  mouthDiameterMm: real('mouth_diameter_mm').notNull(),
  createdAt: integer('created_at').notNull()
});

export const test = sqliteTable(
  'test',
  {
    id: text('id').primaryKey(),
    /** Sample code, with a letter for the second jar on. */
    code: text('code').notNull(),
    sampleId: text('sample_id')
      .notNull()
      .references(() => sample.id),
    vesselId: text('vessel_id')
      .notNull()
      .references(() => vessel.id),
    methodKey: text('method_key').notNull(),
    methodVersion: integer('method_version').notNull(),
    tempC: real('temp_c').notNull(),
    soilMm: real('soil_mm').notNull(),
    waterMm: real('water_mm').notNull(),
    dispersantMl: real('dispersant_ml').notNull(),
    note: text('note').notNull().default(''),
    prep: text('prep', { mode: 'json' }).notNull().$type<Prep>(),
    status: text('status').notNull().$type<'ready' | 'running' | 'read' | 'finished'>(),
    createdAt: integer('created_at').notNull(),
    finishedAt: integer('finished_at'),
    binnedAt: integer('binned_at'),
    /** Set-down that the timetable gives this jar, ms UTC. */
    plannedAt: integer('planned_at')
  },
  (t) => [index('test_status').on(t.status, t.binnedAt), index('test_sample').on(t.sampleId)]
);

export const run = sqliteTable(
  'run',
  {
    id: text('id').primaryKey(),
    testId: text('test_id')
      .notNull()
      .references(() => test.id, { onDelete: 'cascade' }),
    no: integer('no').notNull(),
    setDownAt: integer('set_down_at').notNull(),
    endedAt: integer('ended_at'),
    endReason: text('end_reason').$type<'knocked' | 'foamed' | 'clots' | 'other'>()
  },
  (t) => [index('run_test').on(t.testId)]
);

export const mark = sqliteTable(
  'mark',
  {
    id: text('id').primaryKey(),
    runId: text('run_id')
      .notNull()
      .references(() => run.id, { onDelete: 'cascade' }),
    layer: text('layer').notNull().$type<Exclude<LayerName, 'gravel'>>(),
    at: integer('at').notNull(),
    heightMm: real('height_mm'),
    /** The height as it was typed. */
    heightText: text('height_text')
  },
  (t) => [index('mark_run').on(t.runId)]
);

export const reading = sqliteTable(
  'reading',
  {
    id: text('id').primaryKey(),
    testId: text('test_id')
      .notNull()
      .references(() => test.id, { onDelete: 'cascade' }),
    runId: text('run_id').references(() => run.id, { onDelete: 'cascade' }),
    at: integer('at').notNull(),
    entry: text('entry', { mode: 'json' }).notNull().$type<ReadingEntry>()
  },
  (t) => [index('reading_test').on(t.testId)]
);

export const result = sqliteTable(
  'result',
  {
    id: text('id').primaryKey(),
    testId: text('test_id')
      .notNull()
      .references(() => test.id, { onDelete: 'cascade' }),
    at: integer('at').notNull(),
    coreVersion: text('core_version').notNull(),
    snapshot: text('snapshot', { mode: 'json' }).notNull().$type<Snapshot>(),
    reopenedAt: integer('reopened_at')
  },
  (t) => [index('result_test').on(t.testId)]
);

export const profile = sqliteTable('profile', {
  id: text('id').primaryKey(),
  settings: text('settings', { mode: 'json' }).notNull().$type<Profile>()
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
    detail: text('detail', { mode: 'json' }).notNull().$type<Record<string, string | number | null>>(),
    changes: text('changes', { mode: 'json' }).notNull().$type<RowChange[]>(),
    undoneAt: integer('undone_at')
  },
  (t) => [index('event_test').on(t.testId, t.receivedAt)]
);

export const TABLES = { sample, vessel, test, run, mark, reading, result, profile } as const;
export type TableName = keyof typeof TABLES;

/** A row before and after; null where there was or is none. */
export type RowChange = {
  table: TableName;
  id: string;
  before: Record<string, unknown> | null;
  after: Record<string, unknown> | null;
};
