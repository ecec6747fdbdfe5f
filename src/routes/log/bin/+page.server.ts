import { logPage } from '$lib/server/repositories/log';
import { store } from '$lib/server/store';
import { readLogAddress } from '$lib/workbench/find';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends, url }) => {
  depends('tivrel:data');
  const asked = { ...readLogAddress(url.searchParams), text: '', sort: 'date' as const };
  return { title: t.log.binTitle, asked, ...(await logPage(await store(), 'bin', asked)) };
};
