import { blob, index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { History } from '../../core/ground/guidance.ts';
import type { Point } from '../../core/ground/polygon.ts';
import type { PhotoSubject, Sketch } from '../../contract/records/ground.ts';
import type { Purpose, SampleDetails, TypedLength } from '../../contract/records/sample.ts';
import { jsonColumn, shapes } from '../json-column.ts';

/** Times are UTC milliseconds, ids are ULIDs, lengths mm, temperatures degC, volumes mL. */

export const site = sqliteTable('site', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  sketch: jsonColumn<Sketch>('sketch', shapes.sketch, {
    backdrop: null,
    scaled: true,
    earth: null
  }).notNull(),
  createdAt: integer('created_at').notNull()
});

export const area = sqliteTable(
  'area',
  {
    id: text('id').primaryKey(),
    siteId: text('site_id')
      .notNull()
      .references(() => site.id),
    /** Letters that its samples' codes begin with; never used for two areas. */
    code: text('code').notNull().unique(),
    name: text('name').notNull(),
    purpose: text('purpose').notNull().$type<Purpose>(),
    history: jsonColumn<History[]>('history', shapes.texts, []).notNull(),
    note: text('note').notNull(),
    /** Corners on the sketch, metres. */
    outline: jsonColumn<Point[]>('outline', shapes.outline, []).notNull(),
    createdAt: integer('created_at').notNull()
  },
  (t) => [index('area_site').on(t.siteId)]
);

export const spot = sqliteTable(
  'spot',
  {
    id: text('id').primaryKey(),
    areaId: text('area_id')
      .notNull()
      .references(() => area.id),
    /** Place in the walk, from 1. */
    no: integer('no').notNull(),
    x: real('x').notNull(),
    y: real('y').notNull(),
    takenAt: integer('taken_at'),
    depthFrom: jsonColumn<TypedLength>('depth_from', shapes.length, null),
    depthTo: jsonColumn<TypedLength>('depth_to', shapes.length, null),
    note: text('note').notNull()
  },
  (t) => [index('spot_area').on(t.areaId)]
);

/** Pictures as they are kept: re-encoded, without what the camera wrote into them. */
export const photoFile = sqliteTable('photo_file', {
  id: text('id').primaryKey(),
  /** JPEG. */
  bytes: blob('bytes', { mode: 'buffer' }).notNull(),
  width: integer('width').notNull(),
  height: integer('height').notNull(),
  /** When the camera says it was taken, as it wrote it: local wall time without a zone. */
  takenText: text('taken_text'),
  createdAt: integer('created_at').notNull()
});

/** A picture of something. */
export const photo = sqliteTable(
  'photo',
  {
    id: text('id').primaryKey(),
    fileId: text('file_id')
      .notNull()
      .references(() => photoFile.id),
    subject: text('subject').notNull().$type<PhotoSubject>(),
    subjectId: text('subject_id').notNull(),
    caption: text('caption').notNull(),
    createdAt: integer('created_at').notNull()
  },
  (t) => [index('photo_subject').on(t.subject, t.subjectId)]
);

export const sample = sqliteTable(
  'sample',
  {
    id: text('id').primaryKey(),
    /** Letter and number, fit for tape; never used twice. */
    code: text('code').notNull().unique(),
    name: text('name').notNull(),
    purpose: text('purpose').notNull().$type<Purpose>(),
    note: text('note').notNull().default(''),
    details: jsonColumn<SampleDetails>('details', shapes.details, {}).notNull().default({}),
    /** The ground it is from, and the spots that were mixed into it. */
    areaId: text('area_id').references(() => area.id),
    spotIds: jsonColumn<string[]>('spot_ids', shapes.texts, []).notNull().default([]),
    createdAt: integer('created_at').notNull(),
    /** The table it came in with. */
    importId: text('import_id')
  },
  (t) => [index('sample_import').on(t.importId)]
);

/** What a laboratory said of a sample. */
export const labReport = sqliteTable(
  'lab_report',
  {
    id: text('id').primaryKey(),
    sampleId: text('sample_id')
      .notNull()
      .references(() => sample.id),
    lab: text('lab').notNull(),
    /** Local date of the report, YYYY-MM-DD. */
    reportedOn: text('reported_on'),
    sand: real('sand').notNull(),
    silt: real('silt').notNull(),
    clay: real('clay').notNull(),
    /** Sand/silt limit that it used, um. */
    sandLimitUm: real('sand_limit_um').notNull(),
    organicPct: real('organic_pct'),
    note: text('note').notNull(),
    createdAt: integer('created_at').notNull()
  },
  (t) => [index('lab_report_sample').on(t.sampleId)]
);
