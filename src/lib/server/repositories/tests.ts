import { and, asc, eq, inArray, isNull, ne } from 'drizzle-orm';
import type { JarRecord, MarkRecord, RunRecord, SampleRecord, TestDetail } from '../../contract/records.ts';
import type { Reader } from '../db.ts';
import { eventsOfTest } from '../events.ts';
import { mark, reading, result, run, sample, test, vessel } from '../schema.ts';
import { toVessel } from './vessels.ts';

type Joined = { test: typeof test.$inferSelect; sample: SampleRecord; vessel: typeof vessel.$inferSelect };

function jarRecord(row: Joined, current: RunRecord | null, hasReading: boolean): JarRecord {
  const { sampleId: _s, vesselId: _v, ...fields } = row.test;
  return { ...fields, sample: row.sample, vessel: toVessel(row.vessel), run: current, hasReading };
}

/** The same record, but for what was met before by its id: jars share vessels, and a page then sends each once. */
function sharing<T extends { id: string }>(): (held: T) => T {
  const met = new Map<string, T>();
  return (held) => met.get(held.id) ?? (met.set(held.id, held), held);
}

/** Runs with their marks by test, oldest first. */
async function runsOf(db: Reader, testIds: string[]): Promise<Map<string, RunRecord[]>> {
  const out = new Map<string, RunRecord[]>();
  if (testIds.length === 0) return out;
  const rows = await db
    .select()
    .from(run)
    .leftJoin(mark, eq(mark.runId, run.id))
    .where(inArray(run.testId, testIds))
    .orderBy(asc(run.no), asc(mark.at));
  for (const row of rows) {
    const list = out.get(row.run.testId) ?? [];
    out.set(row.run.testId, list);
    let held = list.find((r) => r.id === row.run.id);
    if (!held) {
      const { testId: _, ...fields } = row.run;
      held = { ...fields, marks: [] };
      list.push(held);
    }
    if (row.mark) held.marks.push(toMark(row.mark));
  }
  return out;
}

function toMark({ runId: _, ...fields }: typeof mark.$inferSelect): MarkRecord {
  return fields;
}

function openRun(runs: RunRecord[] | undefined): RunRecord | null {
  return runs?.findLast((r) => r.endedAt === null) ?? null;
}

/** Jars on the shelf: everything not finished and not in the bin, in the order they were set. */
export async function benchJars(db: Reader): Promise<JarRecord[]> {
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
  const [sharedVessel, sharedSample] = [sharing<JarRecord['vessel']>(), sharing<SampleRecord>()];
  return rows.map((row) => {
    const jar = jarRecord(row, openRun(runs.get(row.test.id)), row.test.status === 'read');
    return { ...jar, vessel: sharedVessel(jar.vessel), sample: sharedSample(jar.sample) };
  });
}

/** One test with everything that happened to it. */
export async function testDetail(db: Reader, id: string): Promise<TestDetail | undefined> {
  const [row] = await db
    .select()
    .from(test)
    .innerJoin(sample, eq(test.sampleId, sample.id))
    .innerJoin(vessel, eq(test.vesselId, vessel.id))
    .where(eq(test.id, id));
  if (!row) return undefined;
  const runs = (await runsOf(db, [id])).get(id) ?? [];
  const readings = await db.select().from(reading).where(eq(reading.testId, id)).orderBy(asc(reading.at));
  const results = await db.select().from(result).where(eq(result.testId, id)).orderBy(asc(result.at));
  return {
    ...jarRecord(row, openRun(runs) ?? runs.at(-1) ?? null, readings.length > 0),
    runs,
    readings: readings.map(({ testId: _, ...r }) => r),
    results: results.map(({ testId: _, ...r }) => r),
    events: await eventsOfTest(db, id)
  };
}
