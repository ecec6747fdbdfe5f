import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { FolderItem } from '../../contract/records/folder.ts';
import { jsonColumn, shapes } from '../json-column.ts';

/** Soils that somebody else sent. */
export const folder = sqliteTable('folder', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  sender: text('sender').notNull(),
  receivedOn: text('received_on'),
  note: text('note').notNull(),
  items: jsonColumn<FolderItem[]>('items', shapes.folder, []).notNull(),
  createdAt: integer('created_at').notNull()
});
