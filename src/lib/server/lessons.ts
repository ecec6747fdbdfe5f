import { randomBytes, randomInt } from 'node:crypto';
import { and, asc, desc, eq, isNull, sql } from 'drizzle-orm';
import { ulid } from 'ulid';
import type { z } from 'zod';
import {
  DRILL_KEYS,
  makeTask,
  scoreSheet,
  scoreTask,
  sheetTasks,
  type DrillKey,
  type Score,
  type SheetGiven,
  type SheetTask
} from '../core/index.ts';
import {
  givenTo,
  type newLearner,
  type newLesson,
  type sheetAnswer,
  type soloTry
} from '../contract/practice.ts';
import type {
  AnswerRecord,
  LearnerRecord,
  LessonDetail,
  LessonRecord,
  OwnSheet,
  SoloTry
} from '../contract/records/lesson.ts';
import { refusals } from '../words/refusals.ts';
import type { Reader, Store, Tx } from './db.ts';
import { digestOf } from './digest.ts';
import { announce } from './live.ts';
import { beside, CommandProblem, found } from './problem.ts';
import { learner, learnerAnswer, lesson } from './schema.ts';
import { codeAsKept, spokenCode } from './spoken-code.ts';

const { practice: said } = refusals;

/** Learners of one lesson, and of those who practise alone, at most. */
const MOST_LEARNERS = 200;
const MOST_ALONE = 1000;
/** Tries of one learner that are kept: the newest. */
const MOST_TRIES = 2000;
const CODE_LETTERS = 6;

/** Open windows look again; nothing of a lesson stands in the record. */
const told = () => announce({ what: 'lesson', testId: null });

/** Writes, and tells the open windows. */
async function written<T>(store: Store, work: (tx: Tx) => Promise<T>): Promise<T> {
  const done = await store.write(work);
  told();
  return done;
}

const learnerOf = ({ digest, lessonId: _, ...one }: typeof learner.$inferSelect): LearnerRecord => ({
  ...one,
  onDevice: digest !== null
});
const answerOf = ({ id, no, given, score, mark, at }: typeof learnerAnswer.$inferSelect): AnswerRecord => ({
  id,
  no,
  given,
  score,
  mark,
  at
});

/** All lessons, the newest first. */
export const allLessons = (db: Reader): Promise<LessonRecord[]> =>
  db.select().from(lesson).orderBy(desc(lesson.createdAt));

export async function lessonDetail(db: Reader, id: string): Promise<LessonDetail | undefined> {
  const [one] = await db.select().from(lesson).where(eq(lesson.id, id));
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
  await written(store, (tx) =>
    tx
      .insert(lesson)
      .values({ id, code: spokenCode(CODE_LETTERS), ...sheet, seed: randomInt(1e6), createdAt: now })
  );
  return id;
}

/** Nobody joins or answers any more; or they do again. */
export async function closeLesson(store: Store, id: string, closedAt: number | null): Promise<void> {
  await written(store, async (tx) => {
    found(
      (await tx.update(lesson).set({ closedAt }).where(eq(lesson.id, id)).returning({ id: lesson.id }))[0],
      'This lesson'
    );
  });
}

/** Deletes a lesson with everybody in it and all that they answered. Nothing of it is left. */
export async function deleteLesson(store: Store, id: string): Promise<void> {
  await written(store, async (tx) => {
    const of = tx.select({ id: learner.id }).from(learner).where(eq(learner.lessonId, id));
    await tx.delete(learnerAnswer).where(sql`${learnerAnswer.learnerId} in ${of}`);
    await tx.delete(learner).where(eq(learner.lessonId, id));
    await tx.delete(lesson).where(eq(lesson.id, id));
  });
}

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
  await written(store, async (tx) => {
    const there = await tx.select().from(learner).where(eq(learner.lessonId, one.id));
    const same = there.find((row) => row.name.toLowerCase() === name.toLowerCase());
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
  await written(store, async (tx) => {
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
  await written(store, (tx) =>
    tx.update(learner).set({ handedInAt: now, seenAt: now }).where(eq(learner.id, own.learner.id))
  );
}

/** What a teacher does with a learner: gives the sheet back, frees the name for another device, takes them out. */
export async function changeLearner(
  store: Store,
  id: string,
  what: 'give-back' | 'free' | 'remove'
): Promise<void> {
  await written(store, async (tx) => {
    const [row] = await tx.select().from(learner).where(eq(learner.id, id));
    found(row, 'This learner');
    if (what === 'give-back') await tx.update(learner).set({ handedInAt: null }).where(eq(learner.id, id));
    else if (what === 'free') await tx.update(learner).set({ digest: null }).where(eq(learner.id, id));
    else {
      await tx.delete(learnerAnswer).where(eq(learnerAnswer.learnerId, id));
      await tx.delete(learner).where(eq(learner.id, id));
    }
  });
}

/** Marks an answer; null lets the score stand again. */
export async function markAnswer(store: Store, id: string, points: number | null): Promise<void> {
  await written(store, async (tx) => {
    const [row] = await tx
      .update(learnerAnswer)
      .set({ mark: points })
      .where(eq(learnerAnswer.id, id))
      .returning({ id: learnerAnswer.id });
    found(row, 'This answer');
  });
}

const isDrill = (key: string | null): key is DrillKey => (DRILL_KEYS as (string | null)[]).includes(key);
const alone = (name: string) => and(isNull(learner.lessonId), eq(learner.name, name));

/** Those who practise alone, by name, and how much each has tried. */
export const soloLearners = (db: Reader): Promise<{ name: string; tries: number }[]> =>
  db
    .select({ name: learner.name, tries: sql<number>`count(${learnerAnswer.id})` })
    .from(learner)
    .leftJoin(learnerAnswer, eq(learnerAnswer.learnerId, learner.id))
    .where(isNull(learner.lessonId))
    .groupBy(learner.id)
    .orderBy(asc(learner.name));

/** What somebody tried alone, oldest first. */
export async function soloHistory(db: Reader, name: string): Promise<SoloTry[]> {
  const rows = await db
    .select({ answer: learnerAnswer })
    .from(learnerAnswer)
    .innerJoin(learner, eq(learnerAnswer.learnerId, learner.id))
    .where(alone(name))
    .orderBy(asc(learnerAnswer.at), asc(learnerAnswer.id));
  return rows.flatMap(({ answer: { drill, level, score, at } }) =>
    isDrill(drill) && level !== null && score !== null
      ? [{ key: drill, level, points: score.points, at }]
      : []
  );
}

/** Keeps a try of somebody who practises alone. */
export async function keepSolo(
  store: Store,
  one: z.output<typeof soloTry>,
  now: number
): Promise<{ score: Score }> {
  const given = givenTo(one.key, one.given);
  if (!given) throw new CommandProblem(said.answerShape, {}, 422);
  const score = scoreTask(makeTask(one.key, one.seed, one.level), given);
  await written(store, async (tx) => {
    let [row] = await tx.select({ id: learner.id }).from(learner).where(alone(one.name));
    if (!row) {
      const [{ n }] = await tx
        .select({ n: sql<number>`count(*)` })
        .from(learner)
        .where(isNull(learner.lessonId));
      if (n >= MOST_ALONE) throw beside('name', said.manyLearners, 409);
      row = { id: ulid() };
      await tx.insert(learner).values({ ...row, name: one.name, groupName: '', joinedAt: now, seenAt: now });
    }
    const { key: drill, level, seed } = one;
    await tx.insert(learnerAnswer).values({
      id: ulid(),
      learnerId: row.id,
      no: 0,
      drill,
      level,
      seed,
      given: { kind: 'drill', given },
      score,
      at: now
    });
    await tx.run(sql`delete from learner_answer where learner_id = ${row.id} and id not in
      (select id from learner_answer where learner_id = ${row.id} order by at desc, id desc limit ${MOST_TRIES})`);
    await tx.update(learner).set({ seenAt: now }).where(eq(learner.id, row.id));
  });
  return { score };
}

/** Forgets somebody who practised alone, and all that was tried. */
export async function forgetSolo(store: Store, name: string): Promise<void> {
  await written(store, async (tx) => {
    const of = tx.select({ id: learner.id }).from(learner).where(alone(name));
    await tx.delete(learnerAnswer).where(sql`${learnerAnswer.learnerId} in ${of}`);
    await tx.delete(learner).where(alone(name));
  });
}
