import { randomBytes } from 'node:crypto';
import { and, asc, eq } from 'drizzle-orm';
import { ulid } from 'ulid';
import type { z } from 'zod';
import { scoreSheet, sheetTasks, type Score, type SheetGiven, type SheetTask } from '../../core/index.ts';
import { givenTo, type newLearner, type sheetAnswer } from '../../contract/practice.ts';
import type { LessonRecord, OwnSheet } from '../../contract/records/lesson.ts';
import { refusals } from '../../words/refusals.ts';
import type { Reader, Store } from '../db.ts';
import { digestOf } from '../digest.ts';
import { looksLike } from '../names.ts';
import { beside, CommandProblem } from '../problem.ts';
import { learner, learnerAnswer, lesson } from '../schema.ts';
import { codeAsKept } from '../spoken-code.ts';
import { answerOf, learnerOf, written } from './rows.ts';

const { practice: said } = refusals;
/** Learners of one lesson at most. */
const MOST_LEARNERS = 200;

/** The lesson of a code. @throws {CommandProblem} where there is none */
async function lessonByCode(db: Reader, code: string): Promise<LessonRecord> {
  const [one] = await db
    .select()
    .from(lesson)
    .where(eq(lesson.code, codeAsKept(code)));
  if (!one) throw beside('code', said.codeUnknown, 404);
  return one;
}

/** The title of the lesson of a code. */
export const lessonTitle = async (db: Reader, code: string): Promise<string> =>
  (await lessonByCode(db, code)).title;

/**
 * Joins a lesson by its code. A name that was freed is taken up with what it had answered.
 *
 * @returns the cookie of the learner: random, and kept nowhere but on the device
 */
export async function joinLesson(
  store: Store,
  code: string,
  { name, group }: z.output<typeof newLearner>,
  now: number
): Promise<string> {
  const one = await lessonByCode(store.db, code);
  if (one.closedAt !== null) throw beside('code', said.closed, 409);
  const cookie = randomBytes(24).toString('base64url');
  await written(store, 'lesson.work', async (tx) => {
    const there = await tx.select().from(learner).where(eq(learner.lessonId, one.id));
    const same = there.find((row) => looksLike(row.name, name));
    if (same && same.digest !== null) throw beside('name', said.nameTaken, 409);
    if (same) {
      await tx
        .update(learner)
        .set({ digest: digestOf(cookie), groupName: group || same.groupName, seenAt: now })
        .where(eq(learner.id, same.id));
      return;
    }
    if (there.length >= MOST_LEARNERS) throw beside('name', said.full, 409);
    await tx.insert(learner).values({
      id: ulid(),
      lessonId: one.id,
      name,
      groupName: group,
      digest: digestOf(cookie),
      joinedAt: now,
      seenAt: now
    });
  });
  return cookie;
}

/** The sheet of whoever shows a cookie; undefined for nobody. */
export async function ownSheet(db: Reader, cookie: string): Promise<OwnSheet | undefined> {
  if (cookie === '') return undefined;
  const [row] = await db
    .select({ learner, lesson })
    .from(learner)
    .innerJoin(lesson, eq(learner.lessonId, lesson.id))
    .where(eq(learner.digest, digestOf(cookie)));
  if (!row) return undefined;
  const answers = await db
    .select()
    .from(learnerAnswer)
    .where(eq(learnerAnswer.learnerId, row.learner.id))
    .orderBy(asc(learnerAnswer.no));
  return { lesson: row.lesson, learner: learnerOf(row.learner), answers: answers.map(answerOf) };
}

/** What was answered, as the core takes it. @throws {CommandProblem} where it does not fit the task */
function givenFor(task: SheetTask, answer: z.output<typeof sheetAnswer>): SheetGiven {
  if (answer.kind !== task.kind) throw new CommandProblem(said.answerShape, {}, 422);
  if (answer.kind !== 'drill') return answer;
  const given = task.kind === 'drill' ? givenTo(task.task.key, answer.given) : undefined;
  if (!given) throw new CommandProblem(said.answerShape, {}, 422);
  return { kind: 'drill', given };
}

/** Keeps what a learner answers to a task; until it is handed in the newest counts. */
export async function answerTask(
  store: Store,
  cookie: string,
  no: number,
  answer: z.output<typeof sheetAnswer>,
  now: number
): Promise<{ score: Score | null }> {
  const own = await requireOpen(store.db, cookie);
  const task = sheetTasks(own.lesson.items, own.lesson.seed).find((one) => one.no === no);
  if (!task) throw new CommandProblem(said.noTask, {}, 404);
  const given = givenFor(task, answer);
  const score = scoreSheet(task, given) ?? null;
  await written(store, 'lesson.work', async (tx) => {
    const where = and(eq(learnerAnswer.learnerId, own.learner.id), eq(learnerAnswer.no, no));
    const [before] = await tx.select({ id: learnerAnswer.id }).from(learnerAnswer).where(where);
    const values = { given, score, mark: null, at: now };
    if (before) await tx.update(learnerAnswer).set(values).where(where);
    else await tx.insert(learnerAnswer).values({ id: ulid(), learnerId: own.learner.id, no, ...values });
    await tx.update(learner).set({ seenAt: now }).where(eq(learner.id, own.learner.id));
  });
  return { score };
}

/** The sheet of a learner who may still answer. @throws {CommandProblem} where nobody joined, or it was handed in or closed */
async function requireOpen(db: Reader, cookie: string): Promise<OwnSheet> {
  const own = await ownSheet(db, cookie);
  if (!own) throw new CommandProblem(said.notIn, {}, 401);
  if (own.lesson.closedAt !== null) throw new CommandProblem(said.closed, {}, 409);
  if (own.learner.handedInAt !== null) throw new CommandProblem(said.handedIn, {}, 409);
  return own;
}

/** Hands in. */
export async function handIn(store: Store, cookie: string, now: number): Promise<void> {
  const own = await requireOpen(store.db, cookie);
  await written(store, 'lesson.work', (tx) =>
    tx.update(learner).set({ handedInAt: now, seenAt: now }).where(eq(learner.id, own.learner.id))
  );
}
