import { logLines } from '$lib/server/repositories/log';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends }) => {
  depends('tivrel:data');
  return { title: t.log.binTitle, lines: await logLines((await store()).db, 'bin') };
};
