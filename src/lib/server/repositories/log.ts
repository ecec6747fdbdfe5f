import { and, asc, desc, eq, isNotNull, isNull } from 'drizzle-orm';
import { among } from '../among.ts';
import { sharesRead } from '../../core/index.ts';
import { toJarReading, type Glass } from '../../contract/reading.ts';
import type { LogLine } from '../../contract/records/log.ts';
import { findingOf, type Finding } from '../../workbench/result.ts';
import type { Reader } from '../db.ts';
import { reading, result, run, sample, test, vessel } from '../schema.ts';
import { keptLine } from '../../words/verdict.ts';
import { judgementsOf } from './judgements.ts';
import { methodsFor } from './methods.ts';
import { whyNot } from './rows.ts';
import { toVessel } from './vessels.ts';

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
    .innerJoin(vessel, eq(test.vesselId, vessel.id))
    .where(
      and(
        where === 'bin' ? isNotNull(test.binnedAt) : isNull(test.binnedAt),
        sampleId ? eq(test.sampleId, sampleId) : undefined
      )
    )
    .orderBy(desc(test.createdAt));
  const ids = rows.map((r) => r.test.id);
  if (ids.length === 0) return [];
  const methodOf = await methodsFor(
    db,
    rows.map((r) => r.test)
  );
  const runs = await db.select().from(run).where(among(run.testId, ids)).orderBy(asc(run.no));
  const results = await db
    .select()
    .from(result)
    .where(and(among(result.testId, ids), isNull(result.reopenedAt)))
    .orderBy(asc(result.at));
  const readings = await db.select().from(reading).where(among(reading.testId, ids)).orderBy(asc(reading.at));
  const lastVerdict = new Map(
    (await judgementsOf(db)).reverse().map(({ testId, id, kept }) => [testId, { id, line: keptLine(kept) }])
  );
  const lastRun = new Map(runs.map((r) => [r.testId, r]));
  const lastResult = new Map(results.map((r) => [r.testId, r]));
  const lastReading = new Map(readings.map((r) => [r.testId, r]));
  return rows.map(({ test: t, sample: s, vessel: v }): LogLine => {
    const line = {
      id: t.id,
      code: t.code,
      sampleId: s.id,
      sampleName: s.name,
      purpose: s.purpose,
      methodKey: t.methodKey,
      methodName: t.methodKey,
      status: t.status,
      createdAt: t.createdAt,
      setDownAt: lastRun.get(t.id)?.setDownAt ?? null,
      finishedAt: t.finishedAt,
      binnedAt: t.binnedAt,
      tempC: t.tempC,
      act: lastVerdict.get(t.id) ?? null,
      problem: null
    };
    // One odd row must not take the log down: it stands in it, and says what is wrong.
    try {
      const glass = { vessel: toVessel(v), waterMm: t.waterMm };
      const result = outcome(lastResult.get(t.id), lastReading.get(t.id), glass);
      return { ...line, methodName: methodOf(t).name, ...result };
    } catch (problem) {
      return { ...line, ...NOTHING, problem: whyNot(problem) };
    }
  });
}

type Outcome = Pick<
  LogLine,
  | 'sand'
  | 'silt'
  | 'clay'
  | 'gravelPct'
  | 'class'
  | 'probability'
  | 'verdict'
  | 'sd'
  | 'mass'
  | 'read'
  | 'doubtful'
>;

function outcome(
  kept: typeof result.$inferSelect | undefined,
  latest: typeof reading.$inferSelect | undefined,
  glass: Glass
): Outcome {
  if (kept) {
    const finding = findingOf(kept.snapshot);
    if (finding.kind === 'share') return shares(finding);
    const { className, probability, verdict, sd, mass, estimated, read, doubtful } = finding;
    return {
      ...shares(finding),
      class: className,
      probability,
      verdict,
      sd,
      doubtful,
      mass: mass?.fractions ?? null,
      read: estimated ? read : null
    };
  }
  // A reading that is not kept as a result yet is shown as read, without a class.
  if (!latest) return NOTHING;
  return shares(sharesRead(toJarReading(latest.entry, glass)));
}

const NOTHING: Outcome = {
  sand: null,
  silt: null,
  clay: null,
  gravelPct: null,
  class: null,
  verdict: null,
  probability: null,
  sd: null,
  mass: null,
  read: null,
  doubtful: false
};

/** What was read of sand, silt and clay; a share that was read alone leaves the others open. */
function shares(
  result: Pick<Finding, 'kind' | 'fractions' | 'gravelPct'> | ReturnType<typeof sharesRead>
): Outcome {
  if (result.kind === 'share') return { ...NOTHING, [result.layer]: result.pct };
  return { ...NOTHING, ...result.fractions, gravelPct: result.gravelPct };
}
