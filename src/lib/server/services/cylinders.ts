import { eq } from 'drizzle-orm';
import {
  checkFacts,
  CORE_VERSION,
  effectiveDepth,
  judgeCylinder,
  known,
  type CylinderFacts
} from '../../core/index.ts';
import { toCylinderInput } from '../../contract/cylinder.ts';
import type { CylinderSnapshot } from '../../contract/records/result.ts';
import { wholeShares } from '../../words/headline.ts';
import type { Reader } from '../db.ts';
import { added, changed, removed } from '../events.ts';
import { CommandProblem, found, ranged } from '../problem.ts';
import { blankById } from '../repositories/blanks.ts';
import { testDetail } from '../repositories/tests.ts';
import { blank, blankReading, gauge } from '../schema.ts';
import { testRow, runOf, type TestRow } from './guard.ts';
import type { Service, Services } from './service.ts';
import { refusals } from '../../words/refusals.ts';

async function cylinderRow(db: Reader, testId: string) {
  const row = await testRow(db, testId);
  return { ...row, cylinder: known(row.cylinder, 'no other test is let through') };
}

const keepFacts: Service<'cylinder.facts'> = async ({ db }, { testId, facts, blankId }) => {
  const row = await cylinderRow(db, testId);
  ranged(() => checkFacts(facts, row.tempC));
  if (blankId !== null) found((await db.select().from(blank).where(eq(blank.id, blankId)))[0], 'This blank');
  return {
    testId,
    detail: { code: row.code, airDryG: facts.airDryG, blank: blankId === null ? null : 'yes' },
    changes: [changed('test', row, { cylinder: { facts, blankId } })]
  };
};

/** An instrument reading of a test. */
async function gaugeOf(db: Reader, row: TestRow, gaugeId: string): Promise<typeof gauge.$inferSelect> {
  const gaugeRow = found((await db.select().from(gauge).where(eq(gauge.id, gaugeId)))[0], 'This reading');
  await runOf(db, row, gaugeRow.runId);
  return gaugeRow;
}

/** Off its scale a reading cannot even be entered; everything else is for the whole of them to show. */
function checkValue(facts: CylinderFacts, value: number | null): void {
  if (value === null || facts.pipette) return;
  ranged(() => effectiveDepth(facts.bulb, value, facts.meniscus));
}

const takeGauge: Service<'gauge.take'> = async ({ db, at }, p) => {
  const row = await cylinderRow(db, p.testId);
  const runRow = await runOf(db, row, p.runId);
  if (at <= runRow.setDownAt) {
    const message = refusals.cylinders.readingOlderThanSet;
    throw new CommandProblem(message, { at: message });
  }
  checkValue(row.cylinder.facts, p.value);
  const { gaugeId, no, value, tempC, simulated } = p;
  const changes = [added('gauge', { id: gaugeId, runId: runRow.id, no, at, value, tempC, simulated })];
  return {
    testId: p.testId,
    detail: { code: row.code, no: no + 1, value, seconds: Math.round((at - runRow.setDownAt) / 1000) },
    changes
  };
};

const enterGauge: Service<'gauge.enter'> = async ({ db }, { testId, gaugeId, value, tempC }) => {
  const row = await cylinderRow(db, testId);
  const gaugeRow = await gaugeOf(db, row, gaugeId);
  checkValue(row.cylinder.facts, value);
  return {
    testId,
    detail: { code: row.code, no: gaugeRow.no + 1, value },
    changes: [changed('gauge', gaugeRow, { value, tempC })]
  };
};

/** Gives a reading the time at which it was truly made. */
const timeGauge: Service<'gauge.time'> = async ({ db, now }, { testId, gaugeId, at }) => {
  const row = await cylinderRow(db, testId);
  const gaugeRow = await gaugeOf(db, row, gaugeId);
  const { setDownAt } = await runOf(db, row, gaugeRow.runId);
  const refuse = (message: string) => new CommandProblem(message, { time: message });
  if (at <= setDownAt) throw refuse(refusals.cylinders.readingComesAfterSet);
  if (at > now) throw refuse(refusals.cylinders.readInFuture);
  const seconds = (ms: number) => Math.round((ms - setDownAt) / 1000);
  return {
    testId,
    detail: { code: row.code, no: gaugeRow.no + 1, seconds: seconds(at), wasSeconds: seconds(gaugeRow.at) },
    changes: [changed('gauge', gaugeRow, { at })]
  };
};

const removeGauge: Service<'gauge.remove'> = async ({ db }, { testId, gaugeId }) => {
  const row = await cylinderRow(db, testId);
  const gaugeRow = await gaugeOf(db, row, gaugeId);
  return {
    testId,
    detail: { code: row.code, no: gaugeRow.no + 1, value: gaugeRow.value },
    changes: [removed('gauge', gaugeRow)]
  };
};

const addBlank: Service<'blank.add'> = async ({ at }, { blankId, name }) => ({
  testId: null,
  detail: { name },
  changes: [added('blank', { id: blankId, name, createdAt: at })]
});

const readBlank: Service<'blank.read'> = async ({ db, at }, { blankId, readingId, value, tempC }) => {
  const row = found((await db.select().from(blank).where(eq(blank.id, blankId)))[0], 'This blank');
  return {
    testId: null,
    detail: { name: row.name, value },
    changes: [added('blankReading', { id: readingId, blankId, at, value, tempC })]
  };
};

const unreadBlank: Service<'blank.unread'> = async ({ db }, { readingId }) => {
  const row = found(
    (await db.select().from(blankReading).where(eq(blankReading.id, readingId)))[0],
    'This reading of the blank'
  );
  return { testId: null, detail: { value: row.value }, changes: [removed('blankReading', row)] };
};

/** Works the test out once more, keeps all of it, and takes the cylinder off the bench. */
const finishCylinder: Service<'cylinder.finish'> = async ({ db, at }, { testId, resultId }) => {
  const row = await cylinderRow(db, testId);
  const detail = found(await testDetail(db, testId), 'This test');
  const input = toCylinderInput(detail, detail.run, await blankById(db, row.cylinder.blankId));
  if (!input) throw new CommandProblem(refusals.cylinders.setCylinderDownFirst, {}, 409);
  const { result } = ranged(() => judgeCylinder(input, 'usda'));
  const snapshot: CylinderSnapshot = {
    kind: 'cylinder',
    methodKey: row.methodKey,
    methodVersion: row.methodVersion,
    input,
    result
  };
  return {
    testId,
    detail: {
      code: row.code,
      class: result.class.name,
      probability: Math.round(result.probability * 100),
      ...wholeShares(result.fractions)
    },
    changes: [
      added('result', { id: resultId, testId, at, coreVersion: CORE_VERSION, snapshot, reopenedAt: null }),
      changed('test', row, { status: 'finished', finishedAt: at })
    ]
  };
};

export const cylinderServices = {
  'cylinder.facts': keepFacts,
  'gauge.take': takeGauge,
  'gauge.enter': enterGauge,
  'gauge.time': timeGauge,
  'gauge.remove': removeGauge,
  'blank.add': addBlank,
  'blank.read': readBlank,
  'blank.unread': unreadBlank,
  'cylinder.finish': finishCylinder
} satisfies Partial<Services>;
