import { desc, eq, sql, type SQL } from 'drizzle-orm';
import { among } from '../among.ts';
import type { ImportRecord } from '../../contract/records/import.ts';
import type { Reader, Tx } from '../db.ts';
import { event, sample, tableImport, test } from '../schema.ts';

type Row = typeof tableImport.$inferSelect;
const recordOf = ({ digest: _, movedAt: __, ...row }: Row): ImportRecord => row;

/** So many are listed: the latest. */
const LISTED = 20;

/** Tables that were taken in, the latest first. */
export async function importsOf(db: Reader): Promise<ImportRecord[]> {
  const rows = await db.select().from(tableImport).orderBy(desc(tableImport.startedAt)).limit(LISTED);
  return rows.map(recordOf);
}

export async function importById(db: Reader, id: string): Promise<ImportRecord | undefined> {
  const [row] = await db.select().from(tableImport).where(eq(tableImport.id, id));
  return row && recordOf(row);
}

/** The import that the same bytes came in with and that still stands, if any. */
export async function importOfBytes(db: Reader, digest: string): Promise<ImportRecord | undefined> {
  const rows = await db.select().from(tableImport).where(eq(tableImport.digest, digest));
  const row = rows.find((one) => one.finishedAt !== null && one.undoneAt === null);
  return row && recordOf(row);
}

/** How many tests stand that came in with a table. */
export async function testsOfImport(db: Reader, id: string): Promise<number> {
  const [{ n }] = await db
    .select({ n: sql<number>`count(*)` })
    .from(test)
    .where(eq(test.importId, id));
  return n;
}

/** Samples that something was done with since. */
async function goneOnWith(db: Reader, since: number): Promise<string[]> {
  const rows = await db
    .select({ changes: event.changes })
    .from(event)
    .where(sql`${event.testId} is null and ${event.receivedAt} >= ${since}`);
  return rows.flatMap(({ changes }) =>
    changes.filter((change) => change.table === 'sample').map((change) => change.id)
  );
}

/**
 * Takes out some of what came in with a table and nobody went on with: tests, then samples that have none.
 *
 * @param most how many at once
 * @returns how many went
 */
export async function takeOutSome(
  tx: Tx,
  { id, startedAt }: { id: string; startedAt: number },
  most: number
): Promise<number> {
  const tests = await goes(
    tx,
    test,
    sql`${test.importId} = ${id}
      and not exists (select 1 from event where event.test_id = ${test.id})
      and not exists (select 1 from judgement where judgement.test_id = ${test.id})
      and not exists (select 1 from photo where photo.subject = 'test' and photo.subject_id = ${test.id})`,
    most
  );
  if (tests > 0) return tests;
  const kept = await goneOnWith(tx, startedAt);
  return goes(
    tx,
    sample,
    sql`${sample.importId} = ${id}
      and not exists (select 1 from test where test.sample_id = ${sample.id})
      and not exists (select 1 from lab_report where lab_report.sample_id = ${sample.id})
      and not exists (select 1 from trial where trial.sample_id = ${sample.id})
      and not exists (select 1 from photo where photo.subject = 'sample' and photo.subject_id = ${sample.id})
      and ${sample.id} not in (select json_extract(value, '$.sampleId') from folder, json_each(folder.items))
      and not ${among(sample.id, kept)}`,
    most
  );
}

/** Takes out some rows. @returns how many */
async function goes(tx: Tx, table: typeof test | typeof sample, where: SQL, most: number): Promise<number> {
  const rows = await tx.select({ id: table.id }).from(table).where(where).limit(most);
  const ids = rows.map(({ id }) => id);
  await tx.delete(table).where(among(table.id, ids));
  return ids.length;
}
