import { and, eq, sql, type SQL } from 'drizzle-orm';
import { getTableConfig, type SQLiteColumn } from 'drizzle-orm/sqlite-core';
import type { PhotoSubject } from '../contract/records/ground.ts';
import type { Reader } from './db.ts';
import { folder, photo, result, sample, TABLES, test, type TableName } from './schema.ts';

type Reference = { from: TableName; to: TableName; where: (id: string) => SQL | undefined };

const names = Object.keys(TABLES) as TableName[];

/** References by foreign key, as the schema has them. */
const KEYS: Reference[] = names.flatMap((from) =>
  getTableConfig(TABLES[from]).foreignKeys.flatMap((key) => {
    const { columns, foreignTable } = key.reference();
    const to = names.find((name) => TABLES[name] === foreignTable);
    return to ? [{ from, to, where: (id: string) => eq(columns[0], id) }] : [];
  })
);

const holds = (column: SQLiteColumn) => (id: string) => sql`${column} like ${`%"${id}"%`}`;
const shows = (subject: PhotoSubject) => (id: string) =>
  and(eq(photo.subject, subject), eq(photo.subjectId, id));

/** References by an id within a row, which no key guards. */
const WITHIN: Reference[] = [
  { from: 'sample', to: 'spot', where: holds(sample.spotIds) },
  { from: 'test', to: 'blank', where: holds(test.cylinder) },
  { from: 'result', to: 'reading', where: holds(result.snapshot) },
  { from: 'folder', to: 'sample', where: holds(folder.items) },
  { from: 'photo', to: 'sample', where: shows('sample') },
  { from: 'photo', to: 'spot', where: shows('spot') },
  { from: 'photo', to: 'test', where: shows('test') },
  { from: 'photo', to: 'trialPiece', where: shows('piece') }
];

/** A row by its table and id. */
export type RowName = { table: TableName; id: string };
const nameOf = ({ table, id }: RowName) => `${table} ${id}`;

/** Whether rows that stay refer to one of those that go: by key, or by an id within them. */
export async function isNeeded(db: Reader, going: readonly RowName[]): Promise<boolean> {
  const gone = new Set(going.map(nameOf));
  for (const { table, id } of going) {
    for (const { from, to, where } of [...KEYS, ...WITHIN]) {
      if (to !== table) continue;
      // The tables differ in columns but share `id`.
      const referring = TABLES[from] as typeof TABLES.sample;
      const rows = await db.select({ id: referring.id }).from(referring).where(where(id));
      if (rows.some((row) => !gone.has(nameOf({ table: from, id: row.id })))) return true;
    }
  }
  return false;
}
