import { and, desc, eq, inArray, isNotNull, isNull } from 'drizzle-orm';
import { among } from '../among.ts';
import {
  checkLineOrder,
  checkReading,
  CORE_VERSION,
  isShare,
  judgeReading,
  known,
  verdictOf,
  type JarResult,
  type JarAnswer,
  type NamedVessel,
  type ReadingDoubt
} from '../../core/index.ts';
import { toEstimate } from '../../contract/evidence.ts';
import type { Payload } from '../../contract/commands.ts';
import { toJarReading } from '../../contract/reading.ts';
import { readingEntry } from '../../contract/commands/jars.ts';
import type { ReadingEntry } from '../../contract/records/reading.ts';
import { doubtsOf } from '../../workbench/doubts.ts';
import { wholeShares } from '../../words/headline.ts';
import { readAnew } from '../../workbench/entry/read-entry.ts';
import { unansweredLayers } from '../../workbench/layers.ts';
import type { Db, Reader } from '../db.ts';
import { estimateBeside } from '../estimating.ts';
import { added, changed, removed } from '../events.ts';
import { beside, CommandProblem, found, ranged } from '../problem.ts';
import { event, photo, reading, result, test, vessel } from '../schema.ts';
import { methodsFor } from '../repositories/methods.ts';
import { methodOfTest, runById, runsOfTest } from '../repositories/tests.ts';
import { toVessel } from '../repositories/vessels.ts';
import { openRunOf, testRow, type TestRow } from './guard.ts';
import type { Service, Services } from './service.ts';
import { refusals } from '../../words/refusals.ts';

async function vesselOf(db: Reader, row: TestRow): Promise<NamedVessel> {
  const rows = await db.select().from(vessel).where(eq(vessel.id, row.vesselId));
  return toVessel(found(rows[0], 'The vessel'));
}

/** A layer without a line is asked about: nothing is nothing by silence. */
function requireAnswers(entry: ReadingEntry): void {
  const [layer] = unansweredLayers(entry);
  if (!layer) return;
  const message = refusals.results.topNotPlaced(layer);
  throw new CommandProblem(message, { [layer]: message });
}

/**
 * A reading as it is to be kept: of one that was typed everything follows from what was typed, read anew; then checked by the
 * same functions that show it ever after.
 * @throws {CommandProblem} beside the line that is wrong
 */
export function entryToKeep(sent: ReadingEntry, glass: NamedVessel, waterMm: number): ReadingEntry {
  const { typed } = sent;
  const read = typed ? readAnew({ ...sent, typed }, { vessel: glass, waterMm }) : { entry: sent };
  if (!read.entry) {
    throw new CommandProblem(known(Object.values(read.errors)[0], 'it was refused'), read.errors);
  }
  checkEntry(read.entry, glass, waterMm);
  return read.entry;
}

function checkEntry(entry: ReadingEntry, glass: NamedVessel, waterMm: number): void {
  ranged(() => {
    if (!entry.figures) checkReading(toJarReading(entry), glass);
    if (entry.second)
      checkLineOrder(toJarReading({ ...entry, lines: entry.second.lines, second: undefined }).tops);
    // By the same function that reads it ever after: what enters can be shown.
    judgeReading(toJarReading(entry, { vessel: glass, waterMm: waterMm }), 'usda');
  });
  requireAnswers(entry);
}

const keepReading: Service<'jar.read'> = async ({ db, at }, p) => {
  const row = await testRow(db, p.testId);
  const glass = await vesselOf(db, row);
  const entry = entryToKeep(p.entry, glass, row.waterMm);
  const runRow = found(await openRunOf(db, p.testId), 'The run of this jar');
  // It may be told afterwards, but not of a jar that did not stand yet.
  if (runRow.stood === null && at < runRow.setDownAt) throw beside('at', refusals.jars.readingOlderThanSet);
  return {
    testId: p.testId,
    detail: { code: row.code, run: runRow.no },
    changes: [
      added('reading', { id: p.readingId, testId: p.testId, runId: runRow.id, at, entry }),
      changed('test', row, { status: 'read' })
    ]
  };
};

/** A chance for the record, percent; null where it is not known. */
function rounded(probability: number | null): number | null {
  return probability === null ? null : Math.round(probability * 100);
}

/**
 * The answer that goes into the record with a result; none where the reading does not allow one: it then stands as read.
 * What is wrong with the command itself is for the service to say.
 */
async function estimateAhead(db: Db, p: Payload<'test.finish'>): Promise<JarAnswer | undefined> {
  const [row] = await db.select().from(test).where(eq(test.id, p.testId));
  const readingRow = row && (await readingOf(db, p));
  if (!readingRow || row.status === 'finished') return undefined;
  const runs = await runsOfTest(db, row.id);
  const input = toEstimate(
    { ...row, vessel: await vesselOf(db, row), runs },
    runs.find((run) => run.id === readingRow.runId),
    readingEntry.parse(readingRow.entry),
    readingRow.at
  );
  return input && (await estimateBeside(input));
}

async function readingOf(db: Reader, p: Payload<'test.finish'>) {
  const rows = await db
    .select()
    .from(reading)
    .where(and(eq(reading.id, p.readingId), eq(reading.testId, p.testId)));
  return rows.at(0);
}

/** What stands against a reading, by the method as this test runs it. */
async function doubtsFor(
  db: Reader,
  row: TestRow,
  runId: string | null,
  entry: ReadingEntry,
  worked: JarResult,
  readAt: number
): Promise<ReadingDoubt[]> {
  const method = methodOfTest(row, (await methodsFor(db, [row]))(row));
  const runRow = runId === null ? null : await runById(db, runId);
  return doubtsOf({ ...row, method }, runRow, entry, worked, readAt);
}

const finishTest: Service<'test.finish'> = async ({ db, at, answer }, p) => {
  const row = await testRow(db, p.testId);
  const readingRow = found(await readingOf(db, p), 'This reading');
  const entry = readingEntry.parse(readingRow.entry);
  const vesselRow = await vesselOf(db, row);
  const { result: worked } = judgeReading(
    toJarReading(entry, { vessel: vesselRow, waterMm: row.waterMm }),
    'usda'
  );
  if (!isShare(worked) && worked.sum && !worked.sum.agrees && !entry.sumNote) {
    const message = refusals.results.layersMeasuredTotalDo;
    throw new CommandProblem(message, { measuredTotal: message });
  }
  const doubts = await doubtsFor(db, row, readingRow.runId, entry, worked, readingRow.at);
  const snapshot = {
    readingId: readingRow.id,
    entry,
    methodKey: row.methodKey,
    methodVersion: row.methodVersion,
    result: worked,
    ...(answer ? { answer } : {}),
    doubts
  };
  return {
    testId: p.testId,
    detail: isShare(worked)
      ? { code: row.code, [worked.layer]: Math.round(worked.pct), ...(worked.orMore ? { over: 'yes' } : {}) }
      : {
          code: row.code,
          // Where no settling makes the heights no class is given, here as on its page.
          ...(answer && verdictOf(answer).kind === 'impossible'
            ? {}
            : {
                class: (answer ?? worked).class.name,
                probability: rounded((answer ?? worked).probability)
              }),
          ...wholeShares((answer ?? worked).fractions),
          ...(doubts.length > 0 ? { doubtful: 'yes' } : {})
        },
    changes: [
      added('result', {
        id: p.resultId,
        testId: p.testId,
        at,
        coreVersion: CORE_VERSION,
        snapshot,
        reopenedAt: null
      }),
      changed('test', row, { status: 'finished', finishedAt: at })
    ]
  };
};

const reopenTest: Service<'test.reopen'> = async ({ db, at }, p) => {
  const row = await testRow(db, p.testId);
  const kept = found(
    (
      await db
        .select()
        .from(result)
        .where(and(eq(result.testId, p.testId), isNull(result.reopenedAt)))
        .orderBy(desc(result.at))
    )[0],
    'The kept result'
  );
  return {
    testId: p.testId,
    detail: { code: row.code, why: p.why },
    changes: [
      changed('result', kept, { reopenedAt: at }),
      changed('test', row, { status: row.cylinder ? 'running' : 'read', finishedAt: null })
    ]
  };
};

const binTest: Service<'test.bin'> = async ({ db, at }, p) => {
  const row = await testRow(db, p.testId);
  return { testId: p.testId, detail: { code: row.code }, changes: [changed('test', row, { binnedAt: at })] };
};

const restoreTest: Service<'test.restore'> = async ({ db }, p) => {
  const row = await testRow(db, p.testId);
  return {
    testId: p.testId,
    detail: { code: row.code },
    changes: [changed('test', row, { binnedAt: null })]
  };
};

/** Commands whose events are of many tests. */
const OF_MANY = ['bench.plan', 'tests.bin', 'tests.restore'];

/** Each test once, in the order they are named. */
const each = async (db: Reader, ids: readonly string[]) =>
  Promise.all([...new Set(ids)].map((id) => testRow(db, id)));

const several = (rows: readonly TestRow[], fields: Partial<TestRow>) => ({
  testId: null,
  detail: { codes: rows.map((row) => row.code).join(', '), count: rows.length },
  changes: rows.map((row) => changed('test', row, fields))
});

const binTests: Service<'tests.bin'> = async ({ db, at }, { testIds }) =>
  several(await each(db, testIds), { binnedAt: at });

const restoreTests: Service<'tests.restore'> = async ({ db }, { testIds }) =>
  several(await each(db, testIds), { binnedAt: null });

/**
 * Takes binned tests out for good, their pictures with them. The event keeps their codes only, so nothing of them can be
 * brought back.
 */
const emptyBin: Service<'bin.empty'> = async ({ db }) => {
  const rows = await db.select().from(test).where(isNotNull(test.binnedAt));
  const ids = rows.map((r) => r.id);
  return {
    testId: null,
    detail: { codes: rows.map((r) => r.code).join(', '), count: rows.length },
    changes: rows.map((r) => ({ ...removed('test', r), before: { id: r.id } })),
    last: async (tx) => {
      await tx.delete(photo).where(and(eq(photo.subject, 'test'), among(photo.subjectId, ids)));
      await tx.update(event).set({ changes: [], detail: {} }).where(among(event.testId, ids));
      // Some are of many tests: the rows of those that go are taken out of them.
      const gone = new Set(ids);
      const ofMany = await tx
        .select({ id: event.id, changes: event.changes })
        .from(event)
        .where(inArray(event.what, OF_MANY));
      for (const one of ofMany) {
        const left = one.changes.filter((change) => !(change.table === 'test' && gone.has(change.id)));
        if (left.length < one.changes.length)
          await tx.update(event).set({ changes: left }).where(eq(event.id, one.id));
      }
    }
  };
};

export const resultServices = {
  'jar.read': keepReading,
  'test.finish': { prepare: estimateAhead, apply: finishTest },
  'test.reopen': reopenTest,
  'test.bin': binTest,
  'test.restore': restoreTest,
  'tests.bin': binTests,
  'tests.restore': restoreTests,
  'bin.empty': emptyBin
} satisfies Partial<Services>;
