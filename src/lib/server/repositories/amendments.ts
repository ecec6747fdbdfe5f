import { asc, eq } from 'drizzle-orm';
import { AMENDMENTS, type AmendmentRecord } from '../../contract/records/amendment.ts';
import type { Reader } from '../db.ts';
import { amendment } from '../schema.ts';

/** What was put on or into an area, or into all, the earliest first. */
export async function amendmentsOf(db: Reader, areaId?: string): Promise<AmendmentRecord[]> {
  const rows = await db
    .select()
    .from(amendment)
    .where(areaId === undefined ? undefined : eq(amendment.areaId, areaId))
    .orderBy(asc(amendment.doneOn), asc(amendment.createdAt));
  return rows.map((row) => ({ ...row, kind: AMENDMENTS.find((k) => k === row.kind) ?? 'other' }));
}
