import { and, eq, isNull, sql } from 'drizzle-orm';
import { among } from '../among.ts';
import type { Fractions } from '../../core/index.ts';
import type { KnowPoint } from '../../contract/records/log.ts';
import type { Reader } from '../db.ts';
import { area, result, run, sample, site, test } from '../schema.ts';
import { methodFinder } from './methods.ts';

/**
 * One result as the database gives it: test, code, sample, method and version, set-down, then what was read (sand, silt,
 * clay), the estimate by mass of before there were answers, the kind of its snapshot, and the answer.
 */
type Figures = [
  id: string,
  code: string,
  sampleId: string,
  methodKey: string,
  methodVersion: number,
  at: number,
  read: [
    number | null,
    number,
    number,
    number | null,
    number,
    number,
    string | null,
    number | null,
    number,
    number
  ]
];

/**
 * All of them as one text: there may be many, each snapshot is long, and a row of its own for each costs more than all that
 * is in it.
 */
const ALL_FIGURES = sql<string>`json_group_array(json_array(
  ${test.id}, ${test.code}, ${test.sampleId}, ${test.methodKey}, ${test.methodVersion},
  coalesce((select max(${run.setDownAt}) from ${run} where ${run.testId} = ${test.id}), ${test.createdAt}),
  json_extract(${result.snapshot},
    '$.result.fractions.sand', '$.result.fractions.silt', '$.result.fractions.clay',
    '$.mass.fractions.sand', '$.mass.fractions.silt', '$.mass.fractions.clay', '$.kind',
    '$.answer.fractions.sand', '$.answer.fractions.silt', '$.answer.fractions.clay')
))`;

/** A point with the heights it was read by; null where it was weighed. */
export type ReadPoint = KnowPoint & { read: Fractions | null };

/**
 * Every kept result that is a point on the triangle, oldest first.
 *
 * @param testIds only these, where given
 */
export async function knowPoints(db: Reader, testIds?: readonly string[]): Promise<ReadPoint[]> {
  if (testIds?.length === 0) return [];
  const [{ all }] = await db
    .select({ all: ALL_FIGURES })
    .from(result)
    .innerJoin(test, eq(test.id, result.testId))
    .where(
      and(
        isNull(result.reopenedAt),
        isNull(test.binnedAt),
        testIds ? among(test.id, [...testIds]) : undefined
      )
    );
  const rows = JSON.parse(all) as Figures[];
  rows.sort((a, b) => a[5] - b[5] || (a[0] < b[0] ? -1 : 1));
  const methodOf = await methodFinder(db, methodVersionsOf(rows));
  const soils = await db
    .select({
      sampleId: sample.id,
      sampleName: sample.name,
      areaId: area.id,
      areaName: area.name,
      siteId: site.id,
      siteName: site.name
    })
    .from(sample)
    .leftJoin(area, eq(area.id, sample.areaId))
    .leftJoin(site, eq(site.id, area.siteId));
  const soilOf = new Map(soils.map((soil) => [soil.sampleId, soil]));
  return rows.flatMap(([id, code, sampleId, methodKey, methodVersion, at, read]) => {
    const [sand, silt, clay, massSand, massSilt, massClay, kind, answerSand, answerSilt, answerClay] = read;
    const soil = soilOf.get(sampleId);
    // One share alone is no point, nor is what has no sample to stand under.
    if (sand === null || !soil) return [];
    const asRead = { sand, silt, clay };
    const answer = answerSand === null ? null : { sand: answerSand, silt: answerSilt, clay: answerClay };
    const estimated = massSand === null ? null : { sand: massSand, silt: massSilt, clay: massClay };
    const weighed = kind === 'cylinder';
    return [
      {
        id,
        code,
        ...soil,
        methodKey,
        methodName: methodOf({ methodKey, methodVersion })?.name ?? methodKey,
        at,
        fractions: answer ?? asRead,
        basis: weighed ? ('mass' as const) : answer ? ('estimate' as const) : ('height' as const),
        mass: weighed ? asRead : (answer ?? estimated),
        read: weighed ? null : asRead
      }
    ];
  });
}

/** Finished tests that read their sand alone, as a five-minute bottle does, oldest first. */
export async function sandAlone(
  db: Reader
): Promise<{ id: string; code: string; name: string; sampleId: string }[]> {
  return db
    .select({ id: test.id, code: test.code, name: sample.name, sampleId: sample.id })
    .from(result)
    .innerJoin(test, eq(test.id, result.testId))
    .innerJoin(sample, eq(sample.id, test.sampleId))
    .where(
      and(
        isNull(result.reopenedAt),
        isNull(test.binnedAt),
        sql`json_extract(${result.snapshot}, '$.result.kind') = 'share'`,
        sql`json_extract(${result.snapshot}, '$.result.layer') = 'sand'`
      )
    )
    .orderBy(test.createdAt);
}

/** Each method and version once. */
function methodVersionsOf(rows: readonly Figures[]): { methodKey: string; methodVersion: number }[] {
  const ways = new Map(
    rows.map(([, , , methodKey, methodVersion]) => [
      `${methodKey}@${methodVersion}`,
      { methodKey, methodVersion }
    ])
  );
  return [...ways.values()];
}
