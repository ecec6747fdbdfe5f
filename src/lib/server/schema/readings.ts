import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { FilmStrip } from '../../core/photo/height-time.ts';
import type { ReadingEntry } from '../../contract/records/reading.ts';
import type { Snapshot } from '../../contract/records/result.ts';
import { jsonColumn, shapes } from '../json-column.ts';
import { run, test } from './tests.ts';

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
  // By its run too: a run that goes takes its readings along, which would else look through all there are.
  (t) => [index('reading_test').on(t.testId), index('reading_run').on(t.runId)]
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
