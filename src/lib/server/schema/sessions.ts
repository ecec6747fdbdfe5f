import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** A device that is in. Its cookie is not kept, only a digest of it. */
export const session = sqliteTable('session', {
  id: text('id').primaryKey(),
  /** The passphrase it came in by, as the door tells them apart. */
  door: text('door').notNull(),
  createdAt: integer('created_at').notNull(),
  seenAt: integer('seen_at').notNull()
});
