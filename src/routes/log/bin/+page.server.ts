import { logPage } from '$lib/server/repositories/log';
import { store } from '$lib/server/store';
import { readLogAddress } from '$lib/workbench/find';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends, url }) => {
  depends('tivrel:data');
  const from = url.searchParams.get('from');
  // The bin is neither searched nor narrowed.
  const asked = readLogAddress(new URLSearchParams(from ? { from } : {}));
  return { title: t.log.binTitle, asked, ...(await logPage(await store(), 'bin', asked)) };
};
