import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** A view of the log that was kept: what its address asks for. */
export const logView = sqliteTable('log_view', {
  id: text('id').primaryKey(),
  name: text('name').notNull().unique(),
  query: text('query').notNull(),
  createdAt: integer('created_at').notNull()
});
