import { allFolders } from '$lib/server/repositories/folders';
import { samplesToPick } from '$lib/server/repositories/samples';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends }) => {
  depends('tivrel:data');
  const { db } = await store();
  return {
    title: t.folder.title,
    folders: await allFolders(db),
    samples: (await samplesToPick(db)).map(({ id, code, name }) => ({ id, code, name }))
  };
};
