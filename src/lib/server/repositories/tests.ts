import { and, asc, eq, isNull, ne } from 'drizzle-orm';
import { among } from '../among.ts';
import {
  instrumentAt,
  outcomeOf,
  readableAt,
  readWhenDown,
  columnFacts,
  TOP_SIGMA_MM,
  type RunMethod
} from '../../core/index.ts';
import type { JarRecord } from '../../contract/records/jar.ts';
import type { MarkRecord, RunRecord } from '../../contract/records/run.ts';
import type { SampleRecord } from '../../contract/records/sample.ts';
import type { TestDetail } from '../../contract/records/result.ts';
import { toTops } from '../../contract/reading.ts';
import type { Reader } from '../db.ts';
import { eventsOfTest, notesOfTests } from '../events.ts';
import { gauge, mark, reading, result, run, sample, test, topReading, vessel } from '../schema.ts';
import { methodsFor } from './methods.ts';
import { databaseProblem } from '../problem.ts';
import { refusals } from '../../words/refusals.ts';
import { readableRows, type Unreadable } from './rows.ts';
import { toVessel } from './vessels.ts';

type Joined = { test: typeof test.$inferSelect; sample: SampleRecord; vessel: typeof vessel.$inferSelect };

function jarRecord(
  row: Joined,
  shared: RunMethod,
  current: RunRecord | null,
  hasReading: boolean
): JarRecord {
  const { sampleId: _s, vesselId: _v, ...fields } = row.test;
  const method = methodOfTest(row.test, shared);
  return {
    ...fields,
    method,
    sample: row.sample,
    vessel: toVessel(row.vessel),
    run: current && { ...current, stillAt: stillAt(row.test, current) },
    hasReading
  };
}

/**
 * The method as this test runs it: with its true marks, draws at the times that its water and depth give, and its layers read no
 * sooner than silt is down in this jar. Calls, the timetable and pages go by it.
 */
export function methodOfTest(
  { marks, cylinder, tempC, waterMm, soilMm }: typeof test.$inferSelect,
  shared: RunMethod
): RunMethod {
  const marked = marks ? { ...shared, marks } : shared;
  const method = outcomeOf(() => readWhenDown(marked, { waterMm, soilMm, tempC })).done ?? marked;
  if (!method.readings) return method;
  const depthMm = cylinder?.facts.pipette?.depthMm;
  const readings = method.readings.map((reading) => {
    if (reading.atS !== undefined) return reading;
    const drawn = { ...reading, fallMm: depthMm ?? reading.fallMm };
    return { ...drawn, atS: Math.round(instrumentAt(drawn, tempC)) };
  });
  return { ...method, readings };
}

/** The same record, but for what was met before by its id: jars share vessels, and a page then sends each once. */
function sharing<T extends { id: string }>(): (value: T) => T {
  const met = new Map<string, T>();
  return (value) => met.get(value.id) ?? (met.set(value.id, value), value);
}

/** Runs with their marks by test, oldest first. */
async function runsOf(db: Reader, testIds: string[]): Promise<Map<string, RunRecord[]>> {
  const out = new Map<string, RunRecord[]>();
  if (testIds.length === 0) return out;
  const rows = await db
    .select()
    .from(run)
    .leftJoin(mark, eq(mark.runId, run.id))
    .where(among(run.testId, testIds))
    .orderBy(asc(run.no), asc(mark.at));
  for (const row of rows) {
    const list = out.get(row.run.testId) ?? [];
    out.set(row.run.testId, list);
    let own = list.find((r) => r.id === row.run.id);
    if (!own) {
      const { testId: _, ...fields } = row.run;
      own = { ...fields, marks: [], tops: [], gauges: [], notes: [], stillAt: null };
      list.push(own);
    }
    if (row.mark) own.marks.push(toMark(row.mark));
  }
  const byId = new Map([...out.values()].flat().map((r) => [r.id, r]));
  const tops = await db
    .select()
    .from(topReading)
    .where(among(topReading.runId, [...byId.keys()]))
    .orderBy(asc(topReading.at));
  for (const { runId, ...top } of tops) byId.get(runId)?.tops.push(top);
  const gauges = await db
    .select()
    .from(gauge)
    .where(among(gauge.runId, [...byId.keys()]))
    .orderBy(asc(gauge.at));
  for (const { runId, ...fields } of gauges) byId.get(runId)?.gauges.push(fields);
  for (const { testId, kind, at } of await notesOfTests(db, testIds)) {
    // A note belongs to the run that was on.
    const own = out.get(testId)?.findLast((r) => r.setDownAt <= at);
    if (own && (own.endedAt === null || at <= own.endedAt)) own.notes.push({ kind, at });
  }
  return out;
}

/** Runs of a test, the first set-down first. */
export async function runsOfTest(db: Reader, testId: string): Promise<RunRecord[]> {
  return (await runsOf(db, [testId])).get(testId) ?? [];
}

/** One run with its marks. */
export async function runById(db: Reader, runId: string): Promise<RunRecord | undefined> {
  const [row] = await db.select({ testId: run.testId }).from(run).where(eq(run.id, runId));
  return row && (await runsOfTest(db, row.testId)).find((r) => r.id === runId);
}

/** When a run can be read by its own readings of the top, ms UTC. */
function stillAt(row: typeof test.$inferSelect, run: RunRecord): number | null {
  // Readings that no curve can be laid through tell nothing; the jar stands all the same.
  const { done: seconds } = outcomeOf(() => readableAt(columnFacts(row), toTops(run), TOP_SIGMA_MM));
  return seconds === undefined ? null : run.setDownAt + Math.round(seconds * 1000);
}

function toMark({ runId: _r, device: _d, ...fields }: typeof mark.$inferSelect): MarkRecord {
  return fields;
}

function openRun(runs: RunRecord[] | undefined): RunRecord | null {
  return runs?.findLast((r) => r.endedAt === null) ?? null;
}

/**
 * Jars on the shelf: everything not finished and not in the bin, in the order they were set; jars of one sample stand
 * together, where the first of them stands.
 */
export async function benchJars(db: Reader): Promise<JarRecord[]> {
  return (await benchShelf(db)).jars;
}

/** The same, with the jars that cannot be shown. */
export async function benchShelf(db: Reader): Promise<{ jars: JarRecord[]; unreadable: Unreadable[] }> {
  const rows = await db
    .select()
    .from(test)
    .innerJoin(sample, eq(test.sampleId, sample.id))
    .innerJoin(vessel, eq(test.vesselId, vessel.id))
    .where(and(ne(test.status, 'finished'), isNull(test.binnedAt)))
    .orderBy(asc(test.createdAt), asc(test.code));
  const runs = await runsOf(
    db,
    rows.map((r) => r.test.id)
  );
  const methodOf = await methodsFor(
    db,
    rows.map((r) => r.test)
  );
  const [sharedVessel, sharedSample] = [sharing<JarRecord['vessel']>(), sharing<SampleRecord>()];
  const samples = [...new Set(rows.map((r) => r.sample.id))];
  const together = samples.flatMap((id) => rows.filter((r) => r.sample.id === id));
  const { shown, unreadable } = readableRows(
    together,
    (row) => row.test.code,
    (row) => {
      const jar = jarRecord(
        row,
        methodOf(row.test),
        openRun(runs.get(row.test.id)),
        row.test.status === 'read'
      );
      return { ...jar, vessel: sharedVessel(jar.vessel), sample: sharedSample(jar.sample) };
    }
  );
  return { jars: shown, unreadable };
}

/** A test whose row cannot be shown: its method is lost, or what it holds is of another shape. */
export class UnreadableTest extends Error {
  constructor(code: string, cause: unknown) {
    super(refusals.unreadable(code), { cause });
    this.name = 'UnreadableTest';
  }
}

/** One test with everything that happened to it. @throws {UnreadableTest} where it is there and cannot be shown */
export async function testDetail(db: Reader, id: string): Promise<TestDetail | undefined> {
  const [own] = await db.select({ code: test.code }).from(test).where(eq(test.id, id));
  if (!own) return undefined;
  try {
    return await readDetail(db, id);
  } catch (problem) {
    // What the database refuses is no fault of the row: it may be read in a moment.
    throw databaseProblem(problem) ?? new UnreadableTest(own.code, problem);
  }
}

async function readDetail(db: Reader, id: string): Promise<TestDetail | undefined> {
  const [row] = await db
    .select()
    .from(test)
    .innerJoin(sample, eq(test.sampleId, sample.id))
    .innerJoin(vessel, eq(test.vesselId, vessel.id))
    .where(eq(test.id, id));
  if (!row) return undefined;
  const methodOf = await methodsFor(db, [row.test]);
  const runs = await runsOfTest(db, id);
  const readings = await db.select().from(reading).where(eq(reading.testId, id)).orderBy(asc(reading.at));
  const results = await db.select().from(result).where(eq(result.testId, id)).orderBy(asc(result.at));
  return {
    ...jarRecord(row, methodOf(row.test), openRun(runs) ?? runs.at(-1) ?? null, readings.length > 0),
    runs,
    readings: readings.map(({ testId: _, ...r }) => r),
    results: results.map(({ testId: _, ...r }) => r),
    events: await eventsOfTest(db, row.test)
  };
}
