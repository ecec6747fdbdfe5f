import { and, asc, desc, eq, sql, type SQL } from 'drizzle-orm';
import type { LogLine } from '../../contract/records/log.ts';
import { CHOSEN, type LogChoices } from '../../workbench/filter.ts';
import { searchWords, type LogAsked, type LogSort } from '../../workbench/find.ts';
import { keptLine } from '../../words/verdict.ts';
import type { Reader, Store } from '../db.ts';
import { freshen } from '../outcomes.ts';
import { outcome } from '../schema.ts';
import { choicesOf, passes, peopleAmong } from './filter.ts';
import { judgementsOf } from './judgements.ts';

/** Which part of the record: what is kept, or what lies in the bin. */
type Part = 'kept' | 'bin';

const ORDER: Record<LogSort, SQL[]> = {
  date: [desc(outcome.at), desc(outcome.testId)],
  sample: [asc(outcome.codeKey), desc(outcome.at)],
  class: [asc(outcome.classKey), asc(outcome.codeKey)]
};

const inPart = (part: Part) => eq(outcome.binned, part === 'bin');

/** What is shown of a part. Words are looked for as they are written: none of their letters stands for others. */
export function shown({ text, filter }: Pick<LogAsked, 'text' | 'filter'>): SQL | undefined {
  const words = searchWords(text).map((word) => sql`instr(${outcome.words}, ${word}) > 0`);
  return and(passes(filter), ...words);
}

/** What there is to choose from in the log, each by its name. */
export async function logChoices(store: Store): Promise<LogChoices> {
  await freshen(store);
  return store.shared('log-choices', async () => ({
    ...(await choicesOf(store, CHOSEN, inPart('kept'))),
    person: await peopleAmong(store, inPart('kept'))
  }));
}

/** How many tests stand in a part of the record. */
export async function countLines(store: Store, part: Part): Promise<number> {
  await freshen(store);
  return counted(store.db, inPart(part));
}

async function counted(db: Reader, where: SQL | undefined): Promise<number> {
  const [{ n }] = await db
    .select({ n: sql<number>`count(*)` })
    .from(outcome)
    .where(where);
  return n;
}

/**
 * A page of the log, with how many lines were found in all: one line a test, with the kept result, or the latest reading as read
 * where none is kept.
 */
export async function logPage(
  store: Store,
  part: Part,
  asked: LogAsked
): Promise<{ lines: LogLine[]; found: number }> {
  await freshen(store);
  const where = and(inPart(part), shown(asked));
  return { lines: await linesAt(store.db, where, asked), found: await counted(store.db, where) };
}

/** Lines in an order, so many from a place on. */
async function linesAt(
  db: Reader,
  where: SQL | undefined,
  { sort, from, most }: Pick<LogAsked, 'sort' | 'from' | 'most'>
): Promise<LogLine[]> {
  const rows = await db
    .select({ line: outcome.line })
    .from(outcome)
    .where(where)
    .orderBy(...ORDER[sort])
    .limit(most)
    .offset(from);
  return withActs(db, rows);
}

/** Tests of a sample, newest first. */
export async function linesOfSample(store: Store, sampleId: string): Promise<LogLine[]> {
  await freshen(store);
  const where = and(inPart('kept'), eq(outcome.sampleId, sampleId));
  return linesAt(store.db, where, { sort: 'date', from: 0, most: -1 });
}

/** So many lines are read at once where all are wanted. */
const AT_ONCE = 500;

/**
 * All that a page of the log shows, on it and on those after it, in its order and so many at a time: however many there are, no
 * more are in memory.
 */
export async function* eachShown(store: Store, asked: LogAsked): AsyncGenerator<LogLine[]> {
  if (asked.sort === 'date' && asked.from === 0) return yield* eachLine(store, 'kept', { asked });
  await freshen(store);
  const where = and(inPart('kept'), shown(asked));
  for (let { from } = asked; ; from += AT_ONCE) {
    const lines = await linesAt(store.db, where, { sort: asked.sort, from, most: AT_ONCE });
    if (lines.length === 0) return;
    yield lines;
  }
}

/**
 * The lines of a part of the record, newest first, so many at a time. Each begins after the last, so that what is written
 * meanwhile neither doubles a line nor leaves one out.
 *
 * @param o.asked which of them; all where it is left out
 * @param o.after the id of a test; those that come after it
 * @param o.most how many in all
 */
export async function* eachLine(
  store: Store,
  part: Part,
  o: { asked?: Pick<LogAsked, 'text' | 'filter'>; after?: string; most?: number } = {}
): AsyncGenerator<LogLine[]> {
  await freshen(store);
  let { after, most: left = Infinity } = o;
  while (left > 0) {
    const rows = await store.db
      .select({ id: outcome.testId, line: outcome.line })
      .from(outcome)
      .where(
        and(
          inPart(part),
          o.asked && shown(o.asked),
          after === undefined
            ? undefined
            : sql`(${outcome.at}, ${outcome.testId}) < (select at, test_id from outcome where test_id = ${after})`
        )
      )
      .orderBy(...ORDER.date)
      .limit(Math.min(left, AT_ONCE));
    if (rows.length === 0) return;
    yield await withActs(store.db, rows);
    left -= rows.length;
    after = rows[rows.length - 1].id;
  }
}

/** All lines of a part of the record, newest first. */
export async function logLines(store: Store, part: Part): Promise<LogLine[]> {
  const lines: LogLine[] = [];
  for await (const some of eachLine(store, part)) lines.push(...some);
  return lines;
}

/** Lines with the verdict that was kept of each last. */
async function withActs(
  db: Reader,
  rows: readonly { line: Omit<LogLine, 'act'> | null }[]
): Promise<LogLine[]> {
  const lines = rows.flatMap(({ line }) => line ?? []);
  const verdicts = await judgementsOf(db, { testIds: lines.map((line) => line.id) });
  const last = new Map(
    verdicts.reverse().map(({ testId, id, kept }) => [testId, { id, line: keptLine(kept) }])
  );
  return lines.map((line) => ({ ...line, act: last.get(line.id) ?? null }));
}
