import { and, eq, isNull } from 'drizzle-orm';
import { requireInside } from '../../core/index.ts';
import type { Reader } from '../db.ts';
import { CommandProblem, found, ranged } from '../problem.ts';
import { mark, run, test, vessel } from '../schema.ts';
import { refusals } from '../../words/refusals.ts';

export type TestRow = typeof test.$inferSelect;
export type RunRow = typeof run.$inferSelect;
export type MarkRow = typeof mark.$inferSelect;

/** A test that a command names. Whether the command may be done in its state has been asked before. */
export async function testRow(db: Reader, id: string): Promise<TestRow> {
  return found((await db.select().from(test).where(eq(test.id, id)))[0], 'This test');
}

/** A run of a test, whether it is on or has ended. */
export async function runOf(db: Reader, row: TestRow, runId: string): Promise<RunRow> {
  const runRow = found((await db.select().from(run).where(eq(run.id, runId)))[0], 'This run of the jar');
  if (runRow.testId !== row.id) {
    throw new CommandProblem(refusals.tests.runBelongsAnotherJar(row.code), {}, 409);
  }
  return runRow;
}

/** A mark of a test, with its run. */
export async function markOf(
  db: Reader,
  row: TestRow,
  markId: string
): Promise<{ tape: MarkRow; runRow: RunRow }> {
  const tape = found((await db.select().from(mark).where(eq(mark.id, markId)))[0], 'This mark');
  const runRow = found(
    (await db.select().from(run).where(eq(run.id, tape.runId)))[0],
    'The run of this mark'
  );
  if (runRow.testId !== row.id) {
    throw new CommandProblem(refusals.tests.markBelongsAnotherJar(row.code), {}, 409);
  }
  return { tape, runRow };
}

/** The run that is on, if any. */
export async function openRunOf(db: Reader, testId: string): Promise<RunRow | undefined> {
  return (
    await db
      .select()
      .from(run)
      .where(and(eq(run.testId, testId), isNull(run.endedAt)))
  )[0];
}

/** A run as it begins. */
export function freshRun(o: Pick<RunRow, 'id' | 'testId' | 'no' | 'setDownAt'> & Partial<RunRow>): RunRow {
  return { stood: null, passed: [], endedAt: null, endReason: null, ...o };
}

/** Refuses a height over the rim of a test's vessel. */
export async function within(db: Reader, row: TestRow, heightMm: number): Promise<void> {
  const glass = found((await db.select().from(vessel).where(eq(vessel.id, row.vesselId)))[0], 'The vessel');
  ranged(() => requireInside('height', heightMm, glass));
}
