import { countLines, logChoices, logPage } from '$lib/server/repositories/log';
import { keptViews } from '$lib/server/repositories/views';
import { store } from '$lib/server/store';
import { readLogAddress } from '$lib/workbench/find';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends, url }) => {
  depends('tivrel:data');
  const asked = readLogAddress(url.searchParams);
  const bench = await store();
  return {
    title: t.log.title,
    asked,
    ...(await logPage(bench, 'kept', asked)),
    binned: await countLines(bench, 'bin'),
    kept: await countLines(bench, 'kept'),
    choices: await logChoices(bench),
    views: await keptViews(bench.db)
  };
};
