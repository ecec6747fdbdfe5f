import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { person } from './people.ts';

/** A device that is in. Its cookie is not kept, only a digest of it. */
export const session = sqliteTable('session', {
  id: text('id').primaryKey(),
  /** The passphrase of the bench it came in by, as the door tells them apart; empty for a person's own. */
  door: text('door').notNull(),
  personId: text('person_id').references(() => person.id, { onDelete: 'cascade' }),
  /** What kind of device it is, as far as it says. */
  device: text('device').notNull().default(''),
  createdAt: integer('created_at').notNull(),
  seenAt: integer('seen_at').notNull()
});
