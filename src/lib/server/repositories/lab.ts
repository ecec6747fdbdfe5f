import { and, asc, eq, isNull } from 'drizzle-orm';
import { convertLimit, isShare, reportedShares, USDA_SAND_LIMIT_UM } from '../../core/index.ts';
import { isJarSnapshot } from '../../contract/records/result.ts';
import type { LabPair, LabReport } from '../../contract/records/sample.ts';
import { among } from '../among.ts';
import type { Reader } from '../db.ts';
import { labReport, result, test } from '../schema.ts';

/** Reports of some samples, oldest first. */
export async function labReports(db: Reader, sampleIds: readonly string[]): Promise<LabReport[]> {
  return db
    .select()
    .from(labReport)
    .where(among(labReport.sampleId, sampleIds))
    .orderBy(asc(labReport.createdAt));
}

/**
 * Finished jars of samples that a laboratory has reported on, as pairs: by whom, by which method, the shares as read,
 * and the latest report under the USDA limit of sand.
 */
export async function labPairs(db: Reader): Promise<LabPair[]> {
  const rows = await db
    .select()
    .from(result)
    .innerJoin(test, eq(result.testId, test.id))
    .innerJoin(labReport, eq(labReport.sampleId, test.sampleId))
    .where(and(isNull(result.reopenedAt), isNull(test.binnedAt)))
    .orderBy(asc(result.at), asc(labReport.createdAt));
  const latest = new Map(rows.map((row) => [row.test.id, row]));
  return [...latest.values()].flatMap(({ result: kept, test: of, lab_report: report }) => {
    if (!isJarSnapshot(kept.snapshot)) return [];
    const worked = kept.snapshot.result;
    const shares = reportedShares(report);
    if (isShare(worked) || !shares) return [];
    return [
      {
        testId: of.id,
        code: of.code,
        by: kept.snapshot.entry.by ?? '',
        methodKey: of.methodKey,
        jar: worked.calibrated?.asRead ?? worked.fractions,
        lab: convertLimit(shares, report.sandLimitUm, USDA_SAND_LIMIT_UM)
      }
    ];
  });
}
