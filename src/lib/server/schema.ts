import { blob, index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { History } from '../core/ground/guidance.ts';
import type { Point } from '../core/ground/polygon.ts';
import type { Water } from '../core/jar/clarity.ts';
import type { LayerName } from '../core/layers/layers.ts';
import type { ProfilePoint } from '../core/vessel/vessel.ts';
import type { FilmStrip } from '../core/photo/height-time.ts';
import type { Method, TimedMark } from '../core/method/types.ts';
import type { MarkRecord, Stood } from '../contract/records/run.ts';
import type { PhotoSubject, Sketch } from '../contract/records/ground.ts';
import { NOTHING_PREPARED, type CylinderSetup, type Prep } from '../contract/records/jar.ts';
import type { Purpose, SampleDetails, TypedLength } from '../contract/records/sample.ts';
import type { ReadingEntry } from '../contract/records/reading.ts';
import type { Snapshot } from '../contract/records/result.ts';
import { DEFAULT_PROFILE, type Profile } from '../words/profile.ts';
import { jsonColumn, shapes } from './json-column.ts';

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

export const sample = sqliteTable('sample', {
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
  createdAt: integer('created_at').notNull()
});

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

export const vessel = sqliteTable('vessel', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  kind: text('kind').notNull().$type<'jar' | 'cylinder'>(),
  innerHeightMm: real('inner_height_mm').notNull(),
  innerDiameterMm: real('inner_diameter_mm').notNull(),
  baseThicknessMm: real('base_thickness_mm').notNull(),
  shoulderHeightMm: real('shoulder_height_mm').notNull(),
  mouthDiameterMm: real('mouth_diameter_mm').notNull(),
  domeMm: real('dome_mm').notNull().default(0),
  profile: jsonColumn<ProfilePoint[]>('profile', shapes.widths, null),
  graduationMl: real('graduation_ml'),
  createdAt: integer('created_at').notNull()
});

/** Every version of every method that was ever offered, so that an old test shows the one it used. */
export const method = sqliteTable(
  'method',
  {
    /** `key@version`. */
    id: text('id').primaryKey(),
    key: text('key').notNull(),
    version: integer('version').notNull(),
    definition: jsonColumn<Method>('definition', shapes.method).notNull(),
    /** Made here, from one that ships. */
    own: integer('own', { mode: 'boolean' }).notNull(),
    /** Not offered any more. */
    retiredAt: integer('retired_at'),
    createdAt: integer('created_at').notNull()
  },
  (t) => [index('method_key').on(t.key, t.version)]
);

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
    prep: jsonColumn<Prep>('prep', shapes.prep, NOTHING_PREPARED).notNull(),
    status: text('status').notNull().$type<'ready' | 'running' | 'read' | 'finished'>(),
    createdAt: integer('created_at').notNull(),
    finishedAt: integer('finished_at'),
    binnedAt: integer('binned_at'),
    /** Set-down that the timetable gives this jar, ms UTC. */
    plannedAt: integer('planned_at'),
    /** What was weighed for a cylinder test, and its blank; null for jars. */
    cylinder: jsonColumn<CylinderSetup>('cylinder', shapes.cylinder),
    /** Marks of this jar where they are not the method's: true marks, worked out for its depth and water. */
    marks: jsonColumn<TimedMark[]>('marks', shapes.marks, null)
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
    /** How long about it had stood already, where nobody saw it set down. */
    stood: text('stood').$type<Stood>(),
    /** Layers whose mark was passed over for good. */
    passed: jsonColumn<MarkRecord['layer'][]>('passed', shapes.layers, []).notNull().default([]),
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
    heightText: text('height_text'),
    /** The device it was pressed on, by its own id. */
    device: text('device')
  },
  (t) => [index('mark_run').on(t.runId)]
);

/** The top of the sediment as it was read while the jar stands. */
export const topReading = sqliteTable(
  'top_reading',
  {
    id: text('id').primaryKey(),
    runId: text('run_id')
      .notNull()
      .references(() => run.id, { onDelete: 'cascade' }),
    at: integer('at').notNull(),
    heightMm: real('height_mm').notNull(),
    heightText: text('height_text').notNull(),
    /** What was seen of the water; null where nobody looked. */
    water: text('water').$type<Water>()
  },
  (t) => [index('top_reading_run').on(t.runId)]
);

/** A cylinder of dispersant and water without soil, read beside the tests that share it. */
export const blank = sqliteTable('blank', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  createdAt: integer('created_at').notNull()
});

/** A reading of a blank, in its sign. */
export const blankReading = sqliteTable(
  'blank_reading',
  {
    id: text('id').primaryKey(),
    blankId: text('blank_id')
      .notNull()
      .references(() => blank.id, { onDelete: 'cascade' }),
    at: integer('at').notNull(),
    value: real('value').notNull(),
    tempC: real('temp_c').notNull()
  },
  (t) => [index('blank_reading_blank').on(t.blankId)]
);

/** An instrument read in a run: its time when it was pressed, its value when it was typed. */
export const gauge = sqliteTable(
  'gauge',
  {
    id: text('id').primaryKey(),
    runId: text('run_id')
      .notNull()
      .references(() => run.id, { onDelete: 'cascade' }),
    /** Which of the method's readings it is, from 0. */
    no: integer('no').notNull(),
    at: integer('at').notNull(),
    /** Hydrometer: g/L or relative density; pipette: dry g. Null until it is typed. */
    value: real('value'),
    tempC: real('temp_c'),
    /** Set where a simulated instrument gave it. */
    simulated: integer('simulated', { mode: 'boolean' }).notNull()
  },
  (t) => [index('gauge_run').on(t.runId)]
);

/** A row of pictures of one run, from a camera left on a stand, or a folder. */
export const film = sqliteTable(
  'film',
  {
    id: text('id').primaryKey(),
    testId: text('test_id')
      .notNull()
      .references(() => test.id, { onDelete: 'cascade' }),
    runId: text('run_id')
      .notNull()
      .references(() => run.id, { onDelete: 'cascade' }),
    source: text('source').notNull().$type<'camera' | 'folder'>(),
    strip: jsonColumn<FilmStrip>('strip', shapes.strip).notNull(),
    createdAt: integer('created_at').notNull()
  },
  (t) => [index('film_run').on(t.runId)]
);

/** One picture of a film, as the colours of its strip. */
export const frame = sqliteTable(
  'frame',
  {
    id: text('id').primaryKey(),
    filmId: text('film_id')
      .notNull()
      .references(() => film.id, { onDelete: 'cascade' }),
    at: integer('at').notNull(),
    /** Rows bottom first, three bytes each: L* 0-100 as 0-255, a* and b* over -128. Base 64. */
    colours: text('colours').notNull()
  },
  (t) => [index('frame_film').on(t.filmId, t.at)]
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
    entry: jsonColumn<ReadingEntry>('entry', shapes.entry).notNull()
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
    snapshot: jsonColumn<Snapshot>('snapshot', shapes.snapshot).notNull(),
    reopenedAt: integer('reopened_at')
  },
  (t) => [index('result_test').on(t.testId)]
);

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
