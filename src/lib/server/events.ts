import { and, asc, desc, eq, isNull, or, sql } from 'drizzle-orm';
import { among } from './among.ts';
import { JAR_NOTES, type JarNote } from '../contract/records/run.ts';
import type { EventRecord } from '../contract/records/result.ts';
import type { Reader, Tx } from './db.ts';
import { event, TABLES, type NewRowOf, type RowChange, type RowOf, type TableName } from './schema.ts';

/** What a service wants written: row changes and a line for the record. */
export type Change = {
  testId: string | null;
  detail?: Record<string, string | number | null>;
  changes: RowChange[];
  /** What else belongs to the same transaction, done last. */
  last?: (tx: Tx) => Promise<unknown>;
};

/** A new row: the columns of its table and nothing else. */
export function added<T extends TableName, R extends NewRowOf<T>>(
  table: T,
  row: R & Record<Exclude<keyof R, keyof NewRowOf<T>>, never>
): RowChange {
  return { table, id: row.id, before: null, after: row };
}

/** A row with some of its fields changed: a row of its own table, as it was read. */
export function changed<T extends TableName>(
  table: T,
  row: RowOf<NoInfer<T>>,
  fields: Partial<RowOf<NoInfer<T>>>
): RowChange {
  return { table, id: row.id, before: row, after: { ...row, ...fields } };
}

/** A row taken out. */
export function removed<T extends TableName>(table: T, row: RowOf<NoInfer<T>>): RowChange {
  return { table, id: row.id, before: row, after: null };
}

async function applyChange(tx: Tx, change: RowChange): Promise<void> {
  // The tables differ in columns but share `id`; rows come from the same schema they go back to.
  const table = TABLES[change.table] as typeof TABLES.sample;
  if (change.after === null) await tx.delete(table).where(eq(table.id, change.id));
  else if (change.before === null) await tx.insert(table).values(change.after as typeof table.$inferInsert);
  else await tx.update(table).set(change.after).where(eq(table.id, change.id));
}

/** The one way anything is written: the rows, and an event that says who, when, what and what was there before. */
export async function writeEvent(
  tx: Tx,
  head: { id: string; at: number; receivedAt: number; who: string; what: string },
  change: Change
): Promise<void> {
  for (const row of change.changes) await applyChange(tx, row);
  await tx.insert(event).values({
    ...head,
    testId: change.testId,
    detail: change.detail ?? {},
    changes: change.changes
  });
  await change.last?.(tx);
}

/** The row as it stands now, or null. */
export async function currentRow(
  tx: Reader,
  table: TableName,
  id: string
): Promise<Record<string, unknown> | null> {
  const t = TABLES[table] as typeof TABLES.sample;
  const rows = await tx.select().from(t).where(eq(t.id, id));
  return rows[0] ?? null;
}

/** What was noted of jars while they stood, oldest first; what was taken back is left out. */
export async function notesOfTests(
  db: Reader,
  testIds: string[]
): Promise<{ testId: string; kind: JarNote; at: number }[]> {
  const rows = await db
    .select({ testId: event.testId, detail: event.detail, at: event.at })
    .from(event)
    .where(and(among(event.testId, testIds), eq(event.what, 'jar.note'), isNull(event.undoneAt)))
    .orderBy(asc(event.at));
  return rows.flatMap(({ testId, detail, at }) => {
    const kind = JAR_NOTES.find((one) => one === detail.note);
    return testId && kind ? [{ testId, kind, at }] : [];
  });
}

/** Whether an event is of several tests, of which this is one. */
const ofSeveral = (
  testId: string
) => sql`(${event.testId} is null and ${event.what} in ('tests.bin', 'tests.restore')
  and exists (select 1 from json_each(${event.changes}) where json_extract(value, '$.id') = ${testId}))`;

/** Everything that happened to a test, the table that it came in with among it, newest first. */
export async function eventsOfTest(
  db: Reader,
  { id: testId, importId }: { id: string; importId: string | null }
): Promise<EventRecord[]> {
  const rows = await db
    .select()
    .from(event)
    .where(or(eq(event.testId, testId), ofSeveral(testId), importId ? eq(event.id, importId) : undefined))
    .orderBy(desc(event.at), desc(event.receivedAt), desc(sql`rowid`));
  return rows.map(({ id, at, receivedAt, who, what, detail, undoneAt }) => ({
    id,
    at,
    receivedAt,
    who,
    what,
    detail,
    undoneAt
  }));
}
