import { eq } from 'drizzle-orm';
import { among } from '../among.ts';
import type { FolderItem } from '../../contract/records/folder.ts';
import { refusals } from '../../words/refusals.ts';
import type { Reader } from '../db.ts';
import { added, changed, removed } from '../events.ts';
import { isDayAhead } from '../clock.ts';
import { beside, found } from '../problem.ts';
import { folder, sample } from '../schema.ts';
import type { Service, Services } from './service.ts';

async function requireItems(
  db: Reader,
  { items, receivedOn }: { items: FolderItem[]; receivedOn: string | null },
  now: number
): Promise<void> {
  if (receivedOn && isDayAhead(receivedOn, now)) throw beside('receivedOn', refusals.folders.dayAhead);
  const ids = items.map((item) => item.sampleId);
  const there = new Set(
    (await db.select({ id: sample.id }).from(sample).where(among(sample.id, ids))).map((row) => row.id)
  );
  ids.forEach((id, i) => {
    if (!there.has(id)) throw beside(`items.${i}.sampleId`, refusals.folders.sampleGone);
    if (ids.indexOf(id) < i) throw beside(`items.${i}.sampleId`, refusals.folders.twice);
  });
}

const folderRow = async (db: Reader, id: string) =>
  found((await db.select().from(folder).where(eq(folder.id, id)))[0], 'This folder');

const addFolder: Service<'folder.add'> = async ({ db, at, now }, { folderId, ...fields }) => {
  await requireItems(db, fields, now);
  return {
    testId: null,
    detail: { name: fields.name },
    changes: [added('folder', { id: folderId, ...fields, createdAt: at })]
  };
};

const editFolder: Service<'folder.edit'> = async ({ db, now }, { folderId, ...fields }) => {
  const row = await folderRow(db, folderId);
  await requireItems(db, fields, now);
  return { testId: null, detail: { name: fields.name }, changes: [changed('folder', row, fields)] };
};

const removeFolder: Service<'folder.remove'> = async ({ db }, { folderId }) => {
  const row = await folderRow(db, folderId);
  return { testId: null, detail: { name: row.name }, changes: [removed('folder', row)] };
};

export const folderServices = {
  'folder.add': addFolder,
  'folder.edit': editFolder,
  'folder.remove': removeFolder
} satisfies Partial<Services>;
