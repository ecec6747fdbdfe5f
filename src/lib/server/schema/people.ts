import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Role } from '../../contract/records/person.ts';

/** Somebody who works on this bench. */
export const person = sqliteTable('person', {
  id: text('id').primaryKey(),
  name: text('name').notNull().unique(),
  role: text('role').notNull().$type<Role>(),
  /** Argon2id of the passphrase; null where there is none any more. */
  digest: text('digest'),
  createdAt: integer('created_at').notNull(),
  /** Does not come in any more; the record keeps the name. */
  endedAt: integer('ended_at')
});

/** A way in for somebody who is not on the bench yet. Its code is not kept, only a digest of it. */
export const invite = sqliteTable('invite', {
  id: text('id').primaryKey(),
  role: text('role').notNull().$type<Role>(),
  /** Who made it. */
  who: text('who').notNull(),
  createdAt: integer('created_at').notNull(),
  expiresAt: integer('expires_at').notNull(),
  usedAt: integer('used_at')
});
