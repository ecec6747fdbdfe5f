import { asc, isNull } from 'drizzle-orm';
import type { ReminderRecord } from '../../contract/records/reminder.ts';
import type { Reader } from '../db.ts';
import { reminder } from '../schema.ts';

/** What is still to be done, the earliest first. */
export async function remindersOf(db: Reader): Promise<ReminderRecord[]> {
  const rows = await db.select().from(reminder).where(isNull(reminder.endedAt)).orderBy(asc(reminder.dueAt));
  return rows.map(({ endedAt: _, ...row }) => ({ ...row, kind: row.kind === 'water' ? 'water' : 'test' }));
}
