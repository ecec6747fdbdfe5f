import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { LogLine, ReadPoint } from '../../contract/records/log.ts';
import { jsonColumn, shapes } from '../json-column.ts';
import { test } from './tests.ts';

/**
 * What came of each test, worked out once for every list, export and drawing that shows it. Nothing is known by it alone: it can
 * be made anew from the other tables, and is, for every test that stands in {@link outcomeStale}.
 */
export const outcome = sqliteTable(
  'outcome',
  {
    testId: text('test_id')
      .primaryKey()
      .references(() => test.id, { onDelete: 'cascade' }),
    /** The rule it was worked out by. */
    rule: integer('rule').notNull(),
    binned: integer('binned', { mode: 'boolean' }).notNull(),
    /** Set-down, or when the test was made, ms UTC. */
    at: integer('at').notNull(),
    /** Its code, such that texts in order are numbers in order. */
    codeKey: text('code_key').notNull(),
    /** Its class; what has none stands after all that have. */
    classKey: text('class_key').notNull(),
    /** What is searched: the line and the notes, in small letters. */
    words: text('words').notNull(),
    sampleId: text('sample_id').notNull(),
    areaId: text('area_id'),
    siteId: text('site_id'),
    year: text('year').notNull(),
    methodKey: text('method_key').notNull(),
    purpose: text('purpose').notNull(),
    status: text('status').notNull(),
    /** Who did something with it or read it, each once. */
    people: jsonColumn<string[]>('people', shapes.texts, []).notNull().default([]),
    /** The table it came in with. */
    importId: text('import_id'),
    /** Whether something stands against what was read, or it cannot be shown. */
    trouble: integer('trouble', { mode: 'boolean' }).notNull(),
    /** The layer that was read alone. */
    alone: text('alone').$type<'sand' | 'clay'>(),
    /** Sand and clay of a point in whole percent, for counting how many lie where. */
    sandPct: integer('sand_pct'),
    clayPct: integer('clay_pct'),
    /** Null where somebody else wrote it. */
    line: jsonColumn<Omit<LogLine, 'act'>>('line', shapes.line, null),
    /** Null for what is no point on the triangle. */
    point: jsonColumn<ReadPoint>('point', shapes.point, null)
  },
  (t) => [
    index('outcome_date').on(t.binned, t.at, t.testId),
    index('outcome_code').on(t.binned, t.codeKey, t.at),
    index('outcome_class').on(t.binned, t.classKey, t.codeKey),
    index('outcome_words').on(t.binned, t.words),
    index('outcome_filter').on(
      t.binned,
      t.siteId,
      t.areaId,
      t.year,
      t.methodKey,
      t.classKey,
      t.purpose,
      t.status,
      t.trouble
    ),
    index('outcome_import').on(t.importId),
    index('outcome_sample').on(t.sampleId),
    index('outcome_area').on(t.areaId),
    index('outcome_alone').on(t.binned, t.alone, t.at),
    index('outcome_points').on(t.binned, t.sandPct, t.clayPct, t.year, t.methodKey, t.siteId, t.areaId)
  ]
);

/** Tests of which something was written since their outcome was worked out. Triggers fill it, whoever writes. */
export const outcomeStale = sqliteTable('outcome_stale', { testId: text('test_id').primaryKey() });
