import { asc, eq, isNull } from 'drizzle-orm';
import type { SampleRecord } from '../../contract/records/sample.ts';
import type { Reader } from '../db.ts';
import { sample, test } from '../schema.ts';

export async function allSamples(db: Reader): Promise<SampleRecord[]> {
  return db.select().from(sample).orderBy(asc(sample.code));
}

/** Jars that have a code of their own: all after the first of their sample, but for those in the bin. */
export async function secondJars(db: Reader): Promise<{ id: string; code: string; sampleId: string }[]> {
  const rows = await db
    .select({ id: test.id, code: test.code, sampleId: test.sampleId, first: sample.code })
    .from(test)
    .innerJoin(sample, eq(sample.id, test.sampleId))
    .where(isNull(test.binnedAt))
    .orderBy(asc(test.code));
  return rows.filter((r) => r.code !== r.first).map(({ first: _, ...jar }) => jar);
}

export async function sampleById(db: Reader, id: string): Promise<SampleRecord | undefined> {
  return (await db.select().from(sample).where(eq(sample.id, id)))[0];
}
