import { and, asc, desc, eq, gt, isNull } from 'drizzle-orm';
import type { SampleRecord } from '../../contract/records/sample.ts';
import { codeKey, PICKED_MOST } from '../../workbench/find.ts';
import { among } from '../among.ts';
import type { Reader } from '../db.ts';
import { sample, test } from '../schema.ts';

/** So many are read at once where all are wanted. */
const AT_ONCE = 1000;

/** All samples by code, so many at a time: however many there are, no more are in memory. */
export async function* eachSample(db: Reader): AsyncGenerator<SampleRecord[]> {
  let after = '';
  for (;;) {
    const some = await db
      .select()
      .from(sample)
      .where(gt(sample.code, after))
      .orderBy(asc(sample.code))
      .limit(AT_ONCE);
    if (some.length === 0) return;
    yield some;
    after = some[some.length - 1].code;
  }
}

/** Samples by their ids, those that are there. */
export async function samplesByIds(db: Reader, ids: readonly string[]): Promise<SampleRecord[]> {
  return db.select().from(sample).where(among(sample.id, ids));
}

/** The newest samples, by code: as many as stand in a list to choose from, and those that are asked for. */
export async function samplesToPick(db: Reader, asked: readonly string[] = []): Promise<SampleRecord[]> {
  const newest = await db.select().from(sample).orderBy(desc(sample.createdAt)).limit(PICKED_MOST);
  const others = asked.filter((id) => !newest.some((one) => one.id === id));
  const own = others.length > 0 ? await samplesByIds(db, others) : [];
  return [...newest, ...own].sort((a, b) => (codeKey(a.code) < codeKey(b.code) ? -1 : 1));
}

/** Jars of some samples that have a code of their own: all after the first of their sample, but for those in the bin. */
export async function secondJars(
  db: Reader,
  which: { sampleIds: readonly string[] } | { ids: readonly string[] }
): Promise<{ id: string; code: string; sampleId: string }[]> {
  const rows = await db
    .select({ id: test.id, code: test.code, sampleId: test.sampleId, first: sample.code })
    .from(test)
    .innerJoin(sample, eq(sample.id, test.sampleId))
    .where(
      and(
        isNull(test.binnedAt),
        'ids' in which ? among(test.id, which.ids) : among(test.sampleId, which.sampleIds)
      )
    )
    .orderBy(asc(test.code));
  return rows.filter((r) => r.code !== r.first).map(({ first: _, ...jar }) => jar);
}

export async function sampleById(db: Reader, id: string): Promise<SampleRecord | undefined> {
  return (await db.select().from(sample).where(eq(sample.id, id)))[0];
}
