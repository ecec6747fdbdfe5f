import { and, asc, desc, eq, isNull, sql } from 'drizzle-orm';
import { sharesRead } from '../core/index.ts';
import { toJarReading, type Glass } from '../contract/reading.ts';
import type { LogLine, ReadPoint } from '../contract/records/log.ts';
import { isDevice } from '../contract/records/person.ts';
import type { SampleRecord } from '../contract/records/sample.ts';
import { classKey, codeKey, searchText } from '../workbench/find.ts';
import { yearOf } from '../workbench/points.ts';
import { findingOf, type Finding } from '../workbench/result.ts';
import { among } from './among.ts';
import type { Reader, Store } from './db.ts';
import { databaseProblem, isBusy, isFull } from './problem.ts';
import { methodFinder } from './repositories/methods.ts';
import { whyNot } from './repositories/rows.ts';
import { toVessel } from './repositories/vessels.ts';
import {
  area,
  event,
  outcome,
  outcomeStale,
  reading,
  result,
  run,
  sample,
  site,
  test,
  vessel
} from './schema.ts';

/** Raised when an outcome is worked out otherwise than before: all are then made anew at the next start. */
const RULE = 6;

/** What an outcome is made of: the tests that a row of a table belongs to, where `row` stands for the row that was written. */
const MADE_OF: Record<string, string> = {
  test: 'select row.id as id',
  run: 'select row.test_id as id',
  reading: 'select row.test_id as id',
  result: 'select row.test_id as id',
  event: 'select row.test_id as id where row.test_id is not null',
  sample: 'select id from test where sample_id = row.id',
  vessel: 'select id from test where vessel_id = row.id',
  method: 'select id from test where method_key = row.key and method_version = row.version',
  area: 'select test.id as id from test join sample on sample.id = sample_id where area_id = row.id',
  site: `select test.id as id from test join sample on sample.id = sample_id join area on area.id = area_id
    where site_id = row.id`
};

/**
 * Makes sure that whoever writes a row notes whose outcome it touches, and that every test has one that was worked out by
 * today's rule, or stands in line for it.
 */
export async function watchOutcomes({ client }: Pick<Store, 'client'>): Promise<void> {
  for (const [table, tests] of Object.entries(MADE_OF)) {
    for (const [when, row] of [
      ['insert', 'new'],
      ['update', 'new'],
      ['delete', 'old']
    ]) {
      const whose = tests.replaceAll('row.', `${row}.`);
      const name = `outcome_${table}_${when}`;
      // Made anew, so that they are those of this version.
      await client.execute(`drop trigger if exists ${name}`);
      await client.execute(`create trigger if not exists ${name} after ${when} on ${table} begin
        insert into outcome_stale select distinct id from (${whose}) as touched
          where not exists (select 1 from outcome_stale where test_id = touched.id); end`);
    }
  }
  await client.execute({
    sql: `insert or ignore into outcome_stale select id from test
      where not exists (select 1 from outcome where test_id = test.id and rule = ?)
        and id not in (select test_id from outcome_stale)`,
    args: [RULE]
  });
}

/** So many are worked out in one go; between two others have their turn. */
const AT_ONCE = 200;

/**
 * Works out what came of the tests that something was written of since; whoever lists outcomes does so first.
 *
 * @param told how many are left, after each go
 */
export async function freshen(store: Store, told: (left: number) => void = () => {}): Promise<void> {
  for (;;) {
    const [{ left }] = await store.db.select({ left: sql<number>`count(*)` }).from(outcomeStale);
    told(left);
    if (left === 0) return;
    try {
      await store.write(async (tx) => {
        const stale = await tx.select().from(outcomeStale).limit(AT_ONCE);
        const ids = stale.map((one) => one.testId);
        const rows = await workOut(tx, ids);
        await tx.delete(outcome).where(among(outcome.testId, ids));
        if (rows.length > 0) await tx.insert(outcome).values(rows);
        await tx.delete(outcomeStale).where(among(outcomeStale.testId, ids));
      });
    } catch (problem) {
      // A full disk, or another program that holds the file: lists show what there is.
      if (isBusy(problem) || isFull(problem)) return;
      throw problem;
    }
    await new Promise((resolve) => setImmediate(resolve));
  }
}

const OF_TEST = {
  id: test.id,
  notMeasured: test.notMeasured,
  code: test.code,
  sampleId: test.sampleId,
  methodKey: test.methodKey,
  methodVersion: test.methodVersion,
  tempC: test.tempC,
  waterMm: test.waterMm,
  status: test.status,
  note: test.note,
  createdAt: test.createdAt,
  finishedAt: test.finishedAt,
  binnedAt: test.binnedAt,
  importId: test.importId
};
type Soil = {
  note: string;
  sample: SampleRecord;
  areaName: string | null;
  siteId: string | null;
  siteName: string | null;
};

/** Outcomes of tests, from the rows that they are made of. */
async function workOut(db: Reader, ids: readonly string[]): Promise<(typeof outcome.$inferInsert)[]> {
  const rows = await db
    // No column that may be of another shape: one such row would leave the others without their outcome.
    .select({ test: OF_TEST, sample, vessel, areaName: area.name, siteId: site.id, siteName: site.name })
    .from(test)
    .innerJoin(sample, eq(test.sampleId, sample.id))
    .innerJoin(vessel, eq(test.vesselId, vessel.id))
    .leftJoin(area, eq(area.id, sample.areaId))
    .leftJoin(site, eq(site.id, area.siteId))
    .where(among(test.id, ids));
  const tests = rows.map((row) => row.test);
  const methodOf = await methodFinder(db, tests);
  const downs = await db
    .select({ testId: run.testId, setDownAt: run.setDownAt, stood: run.stood })
    .from(run)
    .where(among(run.testId, ids))
    .orderBy(asc(run.no));
  const lastRun = new Map(downs.map((down) => [down.testId, down]));
  return Promise.all(
    rows.map(async ({ test: t, vessel: v, ...soil }) => {
      const line = {
        id: t.id,
        code: t.code,
        sampleId: t.sampleId,
        sampleName: soil.sample.name,
        purpose: soil.sample.purpose,
        methodKey: t.methodKey,
        methodName: methodOf(t)?.name ?? t.methodKey,
        status: t.status,
        createdAt: timeOf(t.createdAt) ?? 0,
        // Of a jar that was met standing nobody knows when it was set down; its order goes by a time all the same.
        setDownAt: lastRun.get(t.id)?.stood === null ? timeOf(lastRun.get(t.id)?.setDownAt) : null,
        at: timeOf(lastRun.get(t.id)?.setDownAt) ?? timeOf(t.createdAt) ?? 0,
        takenOn: soil.sample.details.takenOn ?? null,
        finishedAt: timeOf(t.finishedAt),
        binnedAt: t.binnedAt,
        tempC: t.notMeasured.includes('tempC') ? null : Number(t.tempC),
        ...NOTHING,
        problem: null as string | null
      };
      let point: ReadPoint | null = null;
      // One odd row must not take the log down: it stands in it, and says what is wrong.
      try {
        const found = await cameOf(db, t.id, { vessel: toVessel(v), waterMm: t.waterMm });
        point = found.finding && pointOf(line, found.finding, { ...soil, note: t.note });
        if (!methodOf(t)) throw new Error(`No method is called "${t.methodKey}".`);
        Object.assign(line, found.came);
      } catch (problem) {
        if (databaseProblem(problem)) throw problem;
        line.problem = whyNot(problem);
      }
      return {
        ...rowOf(line, point, { ...soil, note: t.note }),
        importId: t.importId,
        people: await peopleOf(db, t.id)
      };
    })
  );
}

/** Who did something with a test or read it, each once, in the order of the alphabet; a device without a name is nobody. */
async function peopleOf(db: Reader, testId: string): Promise<string[]> {
  const done = await db
    .select({ who: event.who })
    .from(event)
    .where(eq(event.testId, testId))
    .groupBy(event.who);
  const read = await db.select({ entry: reading.entry }).from(reading).where(eq(reading.testId, testId));
  const named = [...done.map(({ who }) => who), ...read.flatMap(({ entry }) => [entry.by, entry.second?.by])];
  return [...new Set(named.filter((name) => name !== undefined && !isDevice(name)))].sort() as string[];
}

/** A time that a calendar holds; another is none. */
const timeOf = (at: number | null | undefined): number | null =>
  typeof at === 'number' && !Number.isNaN(new Date(at).getTime()) ? at : null;

/** Of two at one time that which was written later. */
const LAST_WRITTEN = desc(sql`rowid`);

/** What was kept of a test, or of its latest reading where nothing was. */
async function cameOf(
  db: Reader,
  testId: string,
  glass: Glass
): Promise<{ came: Came; finding: Finding | null }> {
  const [kept] = await db
    .select()
    .from(result)
    .where(and(eq(result.testId, testId), isNull(result.reopenedAt)))
    .orderBy(desc(result.at), LAST_WRITTEN)
    .limit(1);
  if (kept) {
    const finding = findingOf(kept.snapshot);
    if (finding.kind === 'share') return { came: shares(finding), finding: null };
    const { className, probability, verdict, sd, mass, estimated, read, doubtful } = finding;
    const came = {
      ...shares(finding),
      class: verdict?.kind === 'impossible' ? null : className,
      probability: verdict?.kind === 'impossible' ? null : probability,
      verdict,
      sd,
      doubtful,
      mass: mass?.fractions ?? null,
      read: estimated ? read : null
    };
    return { came, finding };
  }
  // A reading that is not kept as a result yet is shown as read, without a class.
  const [latest] = await db
    .select()
    .from(reading)
    .where(eq(reading.testId, testId))
    .orderBy(desc(reading.at), LAST_WRITTEN)
    .limit(1);
  if (!latest) return { came: NOTHING, finding: null };
  return { came: shares(sharesRead(toJarReading(latest.entry, glass))), finding: null };
}

type Line = Omit<LogLine, 'act'>;
type Came = Pick<
  LogLine,
  | 'sand'
  | 'silt'
  | 'clay'
  | 'clayOver'
  | 'gravelPct'
  | 'class'
  | 'probability'
  | 'verdict'
  | 'sd'
  | 'mass'
  | 'read'
  | 'doubtful'
>;

const NOTHING: Came = {
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
): Came {
  if (result.kind === 'share')
    return result.orMore ? { ...NOTHING, clayOver: result.pct } : { ...NOTHING, [result.layer]: result.pct };
  return { ...NOTHING, ...result.fractions, gravelPct: result.gravelPct };
}

/** A kept result as a point on the triangle. */
function pointOf(line: Line, finding: Finding, { sample: s, areaName, siteId, siteName }: Soil): ReadPoint {
  return {
    id: line.id,
    code: line.code,
    sampleId: s.id,
    sampleName: s.name,
    areaId: s.areaId,
    areaName,
    siteId,
    siteName,
    methodKey: line.methodKey,
    methodName: line.methodName,
    at: line.at,
    fractions: finding.fractions,
    basis: finding.weighed ? 'mass' : finding.estimated ? 'estimate' : 'height',
    mass: finding.mass?.fractions ?? null,
    read: finding.read
  };
}

/** Which share of a line was read alone; of a jar without a line, how much clay there is at least. */
const aloneOf = ({ sand, clay, clayOver }: Line) =>
  sand !== null ? 'sand' : clay !== null || clayOver !== undefined ? 'clay' : null;

function rowOf(line: Line, point: ReadPoint | null, soil: Soil): typeof outcome.$inferInsert {
  const { at } = line;
  const alone = line.status === 'finished' && line.silt === null;
  return {
    testId: line.id,
    rule: RULE,
    binned: line.binnedAt !== null,
    at,
    codeKey: codeKey(line.code),
    classKey: classKey(line.class),
    words: `${searchText(line)} ${soil.note} ${soil.sample.note}`.toLowerCase(),
    sampleId: line.sampleId,
    areaId: soil.sample.areaId,
    siteId: soil.siteId,
    year: yearOf(at),
    methodKey: line.methodKey,
    purpose: line.purpose,
    status: line.status,
    trouble: line.doubtful || line.problem !== null,
    alone: alone ? aloneOf(line) : null,
    sandPct: point && Math.round(point.fractions.sand),
    clayPct: point && Math.round(point.fractions.clay),
    line,
    point
  };
}
