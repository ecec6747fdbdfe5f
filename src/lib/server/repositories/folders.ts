import { desc, eq } from 'drizzle-orm';
import type { FolderRecord } from '../../contract/records/folder.ts';
import type { Reader } from '../db.ts';
import { folder } from '../schema.ts';

/** Folders, the newest first. */
export const allFolders = (db: Reader): Promise<FolderRecord[]> =>
  db.select().from(folder).orderBy(desc(folder.createdAt));

export async function folderById(db: Reader, id: string): Promise<FolderRecord | undefined> {
  return (await db.select().from(folder).where(eq(folder.id, id)))[0];
}
