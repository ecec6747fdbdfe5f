import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import { ulid } from 'ulid';
import type { z } from 'zod';
import { DRILL_KEYS, makeTask, scoreTask, type DrillKey, type Score } from '../../core/index.ts';
import { givenTo, type soloTry } from '../../contract/practice.ts';
import type { SoloTry } from '../../contract/records/lesson.ts';
import type { Role } from '../../contract/records/person.ts';
import { refusals } from '../../words/refusals.ts';
import type { Reader, Store } from '../db.ts';
import { beside, CommandProblem } from '../problem.ts';
import { learner, learnerAnswer } from '../schema.ts';

const { practice: said } = refusals;
/** Those who practise alone, at most, and tries of each that are kept: the newest. */
const MOST_ALONE = 1000;
const MOST_TRIES = 2000;

const isDrill = (key: string | null): key is DrillKey => (DRILL_KEYS as (string | null)[]).includes(key);
const alone = (name: string) => and(isNull(learner.lessonId), eq(learner.name, name));

/** Under whose name somebody practises: readers under their own; undefined for any that is given, as whoever teaches needs. */
export const practisesAs = (person: { name: string; role: Role } | undefined): string | undefined =>
  person?.role === 'reader' ? person.name : undefined;

/** The name that practice goes under. @throws {CommandProblem} where it is another's, and not for this person to see or change */
export function practiceName(person: { name: string; role: Role } | undefined, name: string): string {
  const own = practisesAs(person);
  if (own !== undefined && own !== name) throw beside('name', said.ownPractice, 403);
  return name;
}

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
  await store.write(async (tx) => {
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
  await store.erase(async (tx) => {
    const of = tx.select({ id: learner.id }).from(learner).where(alone(name));
    await tx.delete(learnerAnswer).where(sql`${learnerAnswer.learnerId} in ${of}`);
    await tx.delete(learner).where(alone(name));
  });
}
