import { and, asc, desc, eq, inArray, isNotNull, isNull } from 'drizzle-orm';
import { layersAsRead, thicknesses } from '../../core/index.ts';
import { toJarReading } from '../../contract/reading.ts';
import type { LogLine } from '../../contract/records.ts';
import type { Reader } from '../db.ts';
import { reading, result, run, sample, test } from '../schema.ts';

/**
 * The log, newest first: one line a test, with the kept result, or the latest reading as read where none is kept.
 *
 * @param where which part of the record: what is kept, or what lies in the bin
 */
export async function logLines(db: Reader, where: 'kept' | 'bin', sampleId?: string): Promise<LogLine[]> {
  const rows = await db
    .select()
    .from(test)
    .innerJoin(sample, eq(test.sampleId, sample.id))
    .where(
      and(
        where === 'bin' ? isNotNull(test.binnedAt) : isNull(test.binnedAt),
        sampleId ? eq(test.sampleId, sampleId) : undefined
      )
    )
    .orderBy(desc(test.createdAt));
  const ids = rows.map((r) => r.test.id);
  if (ids.length === 0) return [];
  const runs = await db.select().from(run).where(inArray(run.testId, ids)).orderBy(asc(run.no));
  const results = await db
    .select()
    .from(result)
    .where(and(inArray(result.testId, ids), isNull(result.reopenedAt)))
    .orderBy(asc(result.at));
  const readings = await db
    .select()
    .from(reading)
    .where(inArray(reading.testId, ids))
    .orderBy(asc(reading.at));
  const lastRun = new Map(runs.map((r) => [r.testId, r]));
  const lastResult = new Map(results.map((r) => [r.testId, r]));
  const lastReading = new Map(readings.map((r) => [r.testId, r]));
  return rows.map(({ test: t, sample: s }) => ({
    id: t.id,
    code: t.code,
    sampleId: s.id,
    sampleName: s.name,
    purpose: s.purpose,
    methodKey: t.methodKey,
    status: t.status,
    createdAt: t.createdAt,
    setDownAt: lastRun.get(t.id)?.setDownAt ?? null,
    finishedAt: t.finishedAt,
    binnedAt: t.binnedAt,
    tempC: t.tempC,
    ...outcome(lastResult.get(t.id), lastReading.get(t.id))
  }));
}

type Outcome = Pick<LogLine, 'sand' | 'silt' | 'clay' | 'gravelPct' | 'class' | 'probability'>;

function outcome(
  kept: typeof result.$inferSelect | undefined,
  latest: typeof reading.$inferSelect | undefined
): Outcome {
  if (kept) {
    const { fractions, gravelPct, class: own, probability } = kept.snapshot.result;
    return { ...fractions, gravelPct, class: own.name, probability };
  }
  if (!latest) return { sand: null, silt: null, clay: null, gravelPct: null, class: null, probability: null };
  const read = layersAsRead(thicknesses(toJarReading(latest.entry).tops));
  return { ...read.fractions, gravelPct: read.gravelPct, class: null, probability: null };
}
