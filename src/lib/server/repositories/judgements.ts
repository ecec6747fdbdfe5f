import { and, desc, eq, isNull } from 'drizzle-orm';
import type { JudgementRecord } from '../../contract/records/judgement.ts';
import { refusals } from '../../words/refusals.ts';
import { among } from '../among.ts';
import type { Reader } from '../db.ts';
import { judgement, sample, test } from '../schema.ts';
import { readableRows } from './rows.ts';

/** Judgements on record, the newest first; those of a test or of some, one by itself, or all. What cannot be read is left out. */
export async function judgementsOf(
  db: Reader,
  which: { testId?: string; testIds?: readonly string[]; id?: string; most?: number } = {}
): Promise<JudgementRecord[]> {
  const rows = await db
    .select({ own: judgement, code: test.code, sampleName: sample.name, areaId: sample.areaId })
    .from(judgement)
    .leftJoin(test, eq(judgement.testId, test.id))
    .leftJoin(sample, eq(test.sampleId, sample.id))
    .where(
      and(
        isNull(test.binnedAt),
        which.testId === undefined ? undefined : eq(judgement.testId, which.testId),
        which.testIds && among(judgement.testId, which.testIds),
        which.id === undefined ? undefined : eq(judgement.id, which.id)
      )
    )
    .orderBy(desc(judgement.createdAt))
    .limit(which.most ?? -1);
  return readableRows(
    rows,
    ({ own }) => own.id,
    ({ own, code, sampleName, areaId }): JudgementRecord => {
      if (!own.kept) throw new Error(refusals.judgements.unreadable);
      return { ...own, kept: own.kept, code, sampleName, areaId };
    }
  ).shown;
}
