import { randomInt } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { asc, desc, eq, sql } from 'drizzle-orm';
import { ulid } from 'ulid';
import type { z } from 'zod';
import type { newLesson } from '../../contract/practice.ts';
import { linesThatStay, type LessonDetail, type LessonRecord } from '../../contract/records/lesson.ts';
import type { Reader, Store } from '../db.ts';
import { refusals } from '../../words/refusals.ts';
import { beside, found } from '../problem.ts';
import { learner, learnerAnswer, lesson } from '../schema.ts';
import { spokenCode } from '../spoken-code.ts';
import { answerOf, learnerOf, written } from './rows.ts';

const CODE_LETTERS = 6;

/** All lessons, the newest first. */
export const allLessons = (db: Reader): Promise<LessonRecord[]> =>
  db.select().from(lesson).orderBy(desc(lesson.createdAt));

export async function lessonById(db: Reader, id: string): Promise<LessonRecord | undefined> {
  const [one] = await db.select().from(lesson).where(eq(lesson.id, id));
  return one;
}

export async function lessonDetail(db: Reader, id: string): Promise<LessonDetail | undefined> {
  const one = await lessonById(db, id);
  if (!one) return undefined;
  const learners = await db
    .select()
    .from(learner)
    .where(eq(learner.lessonId, id))
    .orderBy(asc(learner.joinedAt));
  const answers = await db
    .select({ answer: learnerAnswer })
    .from(learnerAnswer)
    .innerJoin(learner, eq(learnerAnswer.learnerId, learner.id))
    .where(eq(learner.lessonId, id))
    .orderBy(asc(learnerAnswer.no));
  return {
    ...one,
    learners: learners.map((row) => ({
      ...learnerOf(row),
      answers: answers
        .filter(({ answer }) => answer.learnerId === row.id)
        .map(({ answer }) => answerOf(answer))
    }))
  };
}

/** Makes a sheet. @returns its id */
export async function addLesson(
  store: Store,
  sheet: z.output<typeof newLesson>,
  now: number
): Promise<string> {
  const id = ulid();
  await written(store, 'lesson.change', (tx) =>
    tx
      .insert(lesson)
      .values({ id, code: spokenCode(CODE_LETTERS), ...sheet, seed: randomInt(1e6), createdAt: now })
  );
  return id;
}

/** Nobody joins or answers any more; or they do again. */
export async function closeLesson(store: Store, id: string, closedAt: number | null): Promise<void> {
  await written(store, 'lesson.change', async (tx) => {
    found(
      (await tx.update(lesson).set({ closedAt }).where(eq(lesson.id, id)).returning({ id: lesson.id }))[0],
      'This lesson'
    );
  });
}

/**
 * Mends a sheet. What somebody has answered to stays as it is, for its tasks go by their places; more can be added below.
 *
 * @throws {CommandProblem} beside `items` where a line would change that somebody has answered to
 */
export async function mendLesson(store: Store, id: string, sheet: z.output<typeof newLesson>): Promise<void> {
  await written(store, 'lesson.change', async (tx) => {
    const one = found((await tx.select().from(lesson).where(eq(lesson.id, id)))[0], 'This lesson');
    const [answered] = await tx
      .select({ id: learnerAnswer.id })
      .from(learnerAnswer)
      .innerJoin(learner, eq(learnerAnswer.learnerId, learner.id))
      .where(eq(learner.lessonId, id))
      .limit(1);
    const fixed = linesThatStay(one, answered !== undefined);
    if (!isDeepStrictEqual(sheet.items.slice(0, fixed), one.items.slice(0, fixed)))
      throw beside('items', refusals.practice.answered, 409);
    await tx.update(lesson).set(sheet).where(eq(lesson.id, id));
  });
}

/** Deletes a lesson with everybody in it and all that they answered. Nothing of it is left. */
export async function deleteLesson(store: Store, id: string): Promise<void> {
  await written(
    store,
    'lesson.change',
    async (tx) => {
      const of = tx.select({ id: learner.id }).from(learner).where(eq(learner.lessonId, id));
      await tx.delete(learnerAnswer).where(sql`${learnerAnswer.learnerId} in ${of}`);
      await tx.delete(learner).where(eq(learner.lessonId, id));
      await tx.delete(lesson).where(eq(lesson.id, id));
    },
    'erase'
  );
}

/** What a teacher does with a learner: gives the sheet back, frees the name for another device, takes them out. */
export async function changeLearner(
  store: Store,
  id: string,
  what: 'give-back' | 'free' | 'remove'
): Promise<void> {
  await written(
    store,
    'lesson.change',
    async (tx) => {
      const [row] = await tx.select().from(learner).where(eq(learner.id, id));
      found(row, 'This learner');
      if (what === 'give-back') await tx.update(learner).set({ handedInAt: null }).where(eq(learner.id, id));
      else if (what === 'free') await tx.update(learner).set({ digest: null }).where(eq(learner.id, id));
      else {
        await tx.delete(learnerAnswer).where(eq(learnerAnswer.learnerId, id));
        await tx.delete(learner).where(eq(learner.id, id));
      }
    },
    what === 'remove' ? 'erase' : 'write'
  );
}

/** Marks an answer; null lets the score stand again. */
export async function markAnswer(store: Store, id: string, points: number | null): Promise<void> {
  await written(store, 'lesson.change', async (tx) => {
    const [row] = await tx
      .update(learnerAnswer)
      .set({ mark: points })
      .where(eq(learnerAnswer.id, id))
      .returning({ id: learnerAnswer.id });
    found(row, 'This answer');
  });
}
