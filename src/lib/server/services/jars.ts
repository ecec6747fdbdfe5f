import { and, desc, eq, isNull } from 'drizzle-orm';
import { checkFill, RangeProblem, RUNNABLE_METHODS } from '../../core/index.ts';
import type { Reader } from '../db.ts';
import { added, changed } from '../events.ts';
import { CommandProblem, found } from '../problem.ts';
import { mark, run, sample, test, vessel } from '../schema.ts';
import type { Service } from './service.ts';

type TestRow = typeof test.$inferSelect;

/** A test that is not in the bin. */
export async function testRow(db: Reader, id: string): Promise<TestRow> {
  const row = found((await db.select().from(test).where(eq(test.id, id)))[0], 'This test');
  if (row.binnedAt !== null)
    throw new CommandProblem('This test lies in the bin. Restore it first.', {}, 409);
  return row;
}

async function openRunRow(db: Reader, runId: string): Promise<typeof run.$inferSelect> {
  const row = found((await db.select().from(run).where(eq(run.id, runId)))[0], 'This run of the jar');
  if (row.endedAt !== null) {
    throw new CommandProblem('This run has ended: the jar was shaken again. Mark the new run.', {}, 409);
  }
  return row;
}

/**
 * The code of a new jar of a sample: the sample's own for the first, with b, c, d ... for those after it.
 * @example nextJarCode('K1', ['K1', 'K1b']) // 'K1c'
 */
export function nextJarCode(sampleCode: string, taken: readonly string[]): string {
  if (!taken.includes(sampleCode)) return sampleCode;
  for (let i = 1; ; i++) {
    const suffix = i < 26 ? String.fromCharCode(97 + i) : `-${i + 1}`;
    if (!taken.includes(sampleCode + suffix)) return sampleCode + suffix;
  }
}

export const prepareJar: Service<'jar.prepare'> = async ({ db, at }, p) => {
  const soil = (await db.select().from(sample).where(eq(sample.id, p.sampleId)))[0];
  if (!soil) {
    const message = 'Choose the sample this jar is for, or name a new one.';
    throw new CommandProblem(message, { sampleId: message });
  }
  const glass = (await db.select().from(vessel).where(eq(vessel.id, p.vesselId)))[0];
  if (!glass) {
    const message = 'Choose a vessel, or add your own.';
    throw new CommandProblem(message, { vesselId: message });
  }
  const method = RUNNABLE_METHODS.find((m) => m.key === p.methodKey);
  if (!method) {
    const message = 'Choose one of the methods.';
    throw new CommandProblem(message, { methodKey: message });
  }
  try {
    checkFill(glass, p.soilMm, p.waterMm);
  } catch (error) {
    if (error instanceof RangeProblem)
      throw new CommandProblem(error.message, { [error.field]: error.message });
    throw error;
  }
  const siblings = await db.select({ code: test.code }).from(test).where(eq(test.sampleId, p.sampleId));
  const code = nextJarCode(
    soil.code,
    siblings.map((s) => s.code)
  );
  const { testId: id, ...fields } = p;
  const row: TestRow = {
    id,
    code,
    ...fields,
    methodVersion: method.version,
    prep: { ticks: [], shakeStartedAt: null },
    status: 'ready',
    createdAt: at,
    finishedAt: null,
    binnedAt: null,
    plannedAt: null
  };
  return { testId: id, detail: { code, method: method.name }, changes: [added('test', row)] };
};

/** Ticks of the checklist and the start of shaking, so that a reload or another device goes on from there. */
export const keepPrep: Service<'jar.prep'> = async ({ db }, { testId, ...prep }) => {
  const row = await testRow(db, testId);
  return {
    testId,
    detail: {
      code: row.code,
      ticks: prep.ticks.length,
      shaking: prep.shakeStartedAt === null ? null : 'yes'
    },
    changes: [changed('test', row, { prep })]
  };
};

export const setDown: Service<'jar.set-down'> = async ({ db, at }, p) => {
  const row = await testRow(db, p.testId);
  const runs = await db.select().from(run).where(eq(run.testId, p.testId)).orderBy(desc(run.no));
  if (runs.some((r) => r.endedAt === null)) {
    throw new CommandProblem('This jar already stands: its clock is running.', {}, 409);
  }
  const no = (runs[0]?.no ?? 0) + 1;
  return {
    testId: p.testId,
    detail: { code: row.code, run: no },
    changes: [
      added('run', { id: p.runId, testId: p.testId, no, setDownAt: at, endedAt: null, endReason: null }),
      changed('test', row, { status: 'running' })
    ]
  };
};

/** Gives jars that do not stand yet the set-down times of a timetable, or takes them back. */
export const planBench: Service<'bench.plan'> = async ({ db, now }, p) => {
  const changes = [];
  for (const { testId, setDownAt } of p.jars) {
    const row = await testRow(db, testId);
    if (row.status !== 'ready') {
      throw new CommandProblem(`${row.code} stands already: plan the rest without it.`, {}, 409);
    }
    if (setDownAt !== null && setDownAt < now) {
      throw new CommandProblem(`The set-down of ${row.code} lies in the past. Plan again from now.`);
    }
    changes.push(changed('test', row, { plannedAt: setDownAt }));
  }
  return { testId: null, detail: { jars: p.jars.length }, changes };
};

export const markLayer: Service<'jar.mark'> = async ({ db, at }, p) => {
  const row = await testRow(db, p.testId);
  const held = await openRunRow(db, p.runId);
  if (at < held.setDownAt) {
    throw new CommandProblem('This mark is older than the set-down. Check the clock of this device.');
  }
  const seconds = Math.round((at - held.setDownAt) / 1000);
  return {
    testId: p.testId,
    detail: { code: row.code, layer: p.layer, seconds, run: held.no },
    changes: [
      added('mark', { id: p.markId, runId: p.runId, layer: p.layer, at, heightMm: null, heightText: null })
    ]
  };
};

export const setMarkHeight: Service<'mark.height'> = async ({ db }, p) => {
  const row = await testRow(db, p.testId);
  const tape = found((await db.select().from(mark).where(eq(mark.id, p.markId)))[0], 'This mark');
  const glass = found((await db.select().from(vessel).where(eq(vessel.id, row.vesselId)))[0], 'The vessel');
  if (p.height && p.height.mm > glass.innerHeightMm) {
    const message = `This vessel is only ${Math.round(glass.innerHeightMm)} mm high inside. Measure again.`;
    throw new CommandProblem(message, { height: message });
  }
  return {
    testId: p.testId,
    detail: { code: row.code, layer: tape.layer, heightMm: p.height?.mm ?? null },
    changes: [changed('mark', tape, { heightMm: p.height?.mm ?? null, heightText: p.height?.text ?? null })]
  };
};

export const shakeAgain: Service<'jar.shake-again'> = async ({ db, at }, p) => {
  const row = await testRow(db, p.testId);
  const held = await openRunRow(db, p.runId);
  return {
    testId: p.testId,
    detail: { code: row.code, run: held.no, reason: p.reason },
    changes: [
      changed('run', held, { endedAt: Math.max(at, held.setDownAt), endReason: p.reason }),
      changed('test', row, {
        status: 'ready',
        prep: { ticks: [], shakeStartedAt: null },
        plannedAt: null
      })
    ]
  };
};

/** The run that is on, if any. */
export async function openRunOf(db: Reader, testId: string): Promise<typeof run.$inferSelect | undefined> {
  return (
    await db
      .select()
      .from(run)
      .where(and(eq(run.testId, testId), isNull(run.endedAt)))
  )[0];
}
