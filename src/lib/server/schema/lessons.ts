import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Score, SheetGiven, SheetItem } from '../../core/index.ts';
import { jsonColumn, shapes } from '../json-column.ts';

/** A sheet for a class. None of this is part of the record: it is deleted whole, and no event remembers it. */
export const lesson = sqliteTable('lesson', {
  id: text('id').primaryKey(),
  /** What learners join by. */
  code: text('code').notNull().unique(),
  title: text('title').notNull(),
  items: jsonColumn<SheetItem[]>('items', shapes.sheet, []).notNull(),
  seed: integer('seed').notNull(),
  createdAt: integer('created_at').notNull(),
  closedAt: integer('closed_at')
});

/** Somebody who learns: in a lesson, or alone where there is none. A name may be a number, and nothing else is kept. */
export const learner = sqliteTable(
  'learner',
  {
    id: text('id').primaryKey(),
    lessonId: text('lesson_id').references(() => lesson.id, { onDelete: 'cascade' }),
    name: text('name').notNull(),
    groupName: text('group_name').notNull(),
    /** Of the cookie that its device shows; null once the name was freed, and for those who practise alone. */
    digest: text('digest'),
    joinedAt: integer('joined_at').notNull(),
    seenAt: integer('seen_at').notNull(),
    handedInAt: integer('handed_in_at')
  },
  (t) => [index('learner_lesson').on(t.lessonId), index('learner_digest').on(t.digest)]
);

/** What a learner answered, to a task of the sheet or to a drill tried alone. */
export const learnerAnswer = sqliteTable(
  'learner_answer',
  {
    id: text('id').primaryKey(),
    learnerId: text('learner_id')
      .notNull()
      .references(() => learner.id, { onDelete: 'cascade' }),
    /** Number of the task on the sheet; 0 for what was tried alone. */
    no: integer('no').notNull(),
    /** Of what was tried alone. */
    drill: text('drill'),
    level: integer('level'),
    seed: integer('seed'),
    given: jsonColumn<SheetGiven>('given', shapes.answer, { kind: 'test', text: '' }).notNull(),
    /** What it came to; null for what only a teacher can mark. */
    score: jsonColumn<Score | null>('score', shapes.score, null),
    /** What the teacher made of it, points. */
    mark: integer('mark'),
    at: integer('at').notNull()
  },
  (t) => [index('learner_answer_learner').on(t.learnerId, t.no)]
);
