import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { ProfileKind, ProfileOf } from '../../workbench/profiles.ts';
import type { KeptVerdict } from '../../contract/records/judgement.ts';
import type { ReminderRecord } from '../../contract/records/reminder.ts';
import { jsonColumn, shapes } from '../json-column.ts';
import { area } from './ground.ts';
import { test } from './tests.ts';

/** A judgement that was kept. */
export const judgement = sqliteTable(
  'judgement',
  {
    id: text('id').primaryKey(),
    testId: text('test_id').references(() => test.id, { onDelete: 'cascade' }),
    query: text('query').notNull(),
    kept: jsonColumn<KeptVerdict | null>('kept', shapes.kept, null).notNull(),
    createdAt: integer('created_at').notNull()
  },
  (t) => [index('judgement_test').on(t.testId)]
);

/** What is judged and counted by, where somebody changed or wrote it: a row a version. */
export const judgingProfile = sqliteTable(
  'judging_profile',
  {
    id: text('id').primaryKey(),
    kind: text('kind').notNull().$type<ProfileKind>(),
    key: text('key').notNull(),
    version: integer('version').notNull(),
    definition: jsonColumn<ProfileOf[ProfileKind]>('definition', shapes.profile, null),
    retiredAt: integer('retired_at'),
    createdAt: integer('created_at').notNull()
  },
  (t) => [index('judging_profile_key').on(t.kind, t.key)]
);

/** Something that is to be done some day. */
export const reminder = sqliteTable('reminder', {
  id: text('id').primaryKey(),
  kind: text('kind').notNull().$type<ReminderRecord['kind']>(),
  name: text('name').notNull(),
  areaId: text('area_id').references(() => area.id),
  litres: real('litres'),
  dueAt: integer('due_at').notNull(),
  everyMs: integer('every_ms'),
  endedAt: integer('ended_at'),
  createdAt: integer('created_at').notNull()
});
