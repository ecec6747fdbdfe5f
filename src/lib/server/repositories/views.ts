import { asc } from 'drizzle-orm';
import type { Reader } from '../db.ts';
import { logView } from '../schema.ts';

/** Views of the log that were kept, by name. */
export const keptViews = (db: Reader): Promise<{ id: string; name: string; query: string }[]> =>
  db
    .select({ id: logView.id, name: logView.name, query: logView.query })
    .from(logView)
    .orderBy(asc(logView.name));
