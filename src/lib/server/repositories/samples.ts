import { asc, eq } from 'drizzle-orm';
import type { SampleRecord } from '../../contract/records.ts';
import type { Reader } from '../db.ts';
import { sample } from '../schema.ts';

export async function allSamples(db: Reader): Promise<SampleRecord[]> {
  return db.select().from(sample).orderBy(asc(sample.code));
}

export async function sampleById(db: Reader, id: string): Promise<SampleRecord | undefined> {
  return (await db.select().from(sample).where(eq(sample.id, id)))[0];
}
