import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Water } from '../../core/jar/clarity.ts';
import type { WeighedSoil } from '../../core/estimate/weighed.ts';
import type { LayerName } from '../../core/layers/layers.ts';
import type { ProfilePoint } from '../../core/vessel/vessel.ts';
import type { Method, TimedMark } from '../../core/method/types.ts';
import type { MarkRecord, Stood } from '../../contract/records/run.ts';
import {
  NOTHING_PREPARED,
  type CylinderSetup,
  type JarFact,
  type Prep,
  type Used
} from '../../contract/records/jar.ts';
import { jsonColumn, shapes } from '../json-column.ts';
import { sample } from './ground.ts';

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
    /** Null where it is of another shape: no jar is set by it, and tests by it say so. */
    definition: jsonColumn<Method | null>('definition', shapes.method, null).notNull(),
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
    /** The dry soil as it was weighed. */
    weighed: jsonColumn<WeighedSoil>('weighed', shapes.weighed, null),
    waterMm: real('water_mm').notNull(),
    dispersantMl: real('dispersant_ml').notNull(),
    /** Facts of it that nobody measured. */
    notMeasured: jsonColumn<JarFact[]>('not_measured', shapes.texts, []).notNull().default([]),
    /** What was used on it, as it was told. */
    used: jsonColumn<Used>('used', shapes.used, {}).notNull().default({}),
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
    marks: jsonColumn<TimedMark[]>('marks', shapes.marks, null),
    /** The table it came in with. */
    importId: text('import_id')
  },
  (t) => [
    index('test_status').on(t.status, t.binnedAt),
    index('test_sample').on(t.sampleId),
    index('test_import').on(t.importId)
  ]
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
