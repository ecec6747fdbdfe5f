import { logLines } from '$lib/server/repositories/log';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends }) => {
  depends('tivrel:data');
  const { db } = await store();
  return {
    title: t.log.title,
    lines: await logLines(db, 'kept'),
    binned: (await logLines(db, 'bin')).length
  };
};
