import { z } from 'zod';
import { refusals } from '../../words/refusals.ts';
import { defineCommand } from './define.ts';
import { id, ref } from './values.ts';

const fields = {
  name: z.string().trim().min(1, refusals.folders.nameIt).max(80, refusals.common.keepNameUnder80),
  sender: z.string().trim().max(120, refusals.folders.senderUnder120).default(''),
  receivedOn: z.iso.date(refusals.samples.giveDateAsDay).nullable().default(null),
  note: z.string().trim().max(500, refusals.common.keepNoteUnder500).default(''),
  items: z
    .array(z.object({ sampleId: ref, theirs: z.string().trim().max(40, refusals.folders.theirsUnder40) }))
    .max(40, refusals.folders.fortyPlenty)
};

/** Folders of soils that somebody else sent. */
export const folderCommands = {
  'folder.add': defineCommand(z.object({ folderId: id, ...fields })),
  'folder.edit': defineCommand(z.object({ folderId: ref, ...fields }), {
    edits: { table: 'folder', id: 'folderId' }
  }),
  'folder.remove': defineCommand(z.object({ folderId: ref }))
} as const;
