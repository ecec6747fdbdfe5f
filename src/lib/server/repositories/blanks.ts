import { asc, desc } from 'drizzle-orm';
import { among } from '../among.ts';
import type { BlankRecord } from '../../contract/records/jar.ts';
import type { Reader } from '../db.ts';
import { blank, blankReading } from '../schema.ts';

/** Blank cylinders with their readings, the newest first. */
export async function allBlanks(db: Reader): Promise<BlankRecord[]> {
  return withReadings(db, await db.select().from(blank).orderBy(desc(blank.createdAt)));
}

/** One blank with its readings. */
export async function blankById(db: Reader, id: string | null | undefined): Promise<BlankRecord | undefined> {
  if (!id) return undefined;
  return (
    await withReadings(
      db,
      await db
        .select()
        .from(blank)
        .where(among(blank.id, [id]))
    )
  )[0];
}

async function withReadings(db: Reader, rows: (typeof blank.$inferSelect)[]): Promise<BlankRecord[]> {
  if (rows.length === 0) return [];
  const readings = await db
    .select()
    .from(blankReading)
    .where(
      among(
        blankReading.blankId,
        rows.map((r) => r.id)
      )
    )
    .orderBy(asc(blankReading.at));
  return rows.map((row) => ({
    ...row,
    readings: readings.filter((r) => r.blankId === row.id).map(({ blankId: _, ...r }) => r)
  }));
}
