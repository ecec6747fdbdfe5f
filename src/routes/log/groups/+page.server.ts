import { logGroups } from '$lib/server/repositories/groups';
import { store } from '$lib/server/store';
import { readLogAddress } from '$lib/workbench/find';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends, url }) => {
  depends('tivrel:data');
  const asked = readLogAddress(url.searchParams);
  return { title: t.log.groups.title, asked, ...(await logGroups(await store(), asked)) };
};
