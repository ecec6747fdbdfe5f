import { and, asc, eq, inArray, isNotNull, isNull, sql } from 'drizzle-orm';
import type { KnowPoint } from '../../contract/records.ts';
import type { Reader } from '../db.ts';
import { area, result, run, sample, site, test } from '../schema.ts';
import { methodsFor } from './methods.ts';

/** A figure out of a snapshot, taken by the database: there may be many, and each is long. */
const figure = (path: string) => sql<number | null>`json_extract(${result.snapshot}, ${`$.${path}`})`;

/**
 * Every kept result that is a point on the triangle, oldest first.
 *
 * @param testIds only these, where given
 */
export async function knowPoints(db: Reader, testIds?: readonly string[]): Promise<KnowPoint[]> {
  if (testIds?.length === 0) return [];
  const at = sql<number>`coalesce((select max(${run.setDownAt}) from ${run} where ${run.testId} = ${test.id}), ${test.createdAt})`;
  const rows = await db
    .select({
      id: test.id,
      code: test.code,
      sampleId: sample.id,
      sampleName: sample.name,
      areaId: area.id,
      areaName: area.name,
      siteId: site.id,
      siteName: site.name,
      methodKey: test.methodKey,
      methodVersion: test.methodVersion,
      at: at.as('at_ms'),
      sand: figure('result.fractions.sand'),
      silt: figure('result.fractions.silt'),
      clay: figure('result.fractions.clay'),
      massSand: figure('mass.fractions.sand'),
      massSilt: figure('mass.fractions.silt'),
      massClay: figure('mass.fractions.clay'),
      kind: sql<string | null>`json_extract(${result.snapshot}, '$.kind')`
    })
    .from(result)
    .innerJoin(test, eq(test.id, result.testId))
    .innerJoin(sample, eq(sample.id, test.sampleId))
    .leftJoin(area, eq(area.id, sample.areaId))
    .leftJoin(site, eq(site.id, area.siteId))
    .where(
      and(
        isNull(result.reopenedAt),
        isNull(test.binnedAt),
        isNotNull(figure('result.fractions.sand')),
        testIds ? inArray(test.id, [...testIds]) : undefined
      )
    )
    .orderBy(asc(sql`at_ms`), asc(test.id));
  const methodOf = await methodsFor(db, rows);
  return rows.map((row) => {
    const { sand, silt, clay, massSand, massSilt, massClay, kind, methodVersion: _v, ...rest } = row;
    const fractions = { sand: sand!, silt: silt!, clay: clay! };
    const estimated = massSand === null ? null : { sand: massSand, silt: massSilt!, clay: massClay! };
    return {
      ...rest,
      methodName: methodOf(row).name,
      fractions,
      basis: kind === 'cylinder' ? ('mass' as const) : ('height' as const),
      mass: kind === 'cylinder' ? fractions : estimated
    };
  });
}
