import { sql, type AnyColumn, type SQL } from 'drizzle-orm';

/** Whether a column of text holds one of many: one variable however many they are, where SQLite takes no more than 32,766. */
export const among = (column: AnyColumn | SQL, ids: readonly string[]): SQL =>
  sql`${column} in (select value from json_each(${JSON.stringify(ids)}))`;
