import { error } from '@sveltejs/kit';
import { shownTest } from '$lib/server/shown';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, depends }) => {
  depends('tivrel:data');
  const test = await shownTest((await store()).db, params.id);
  if (!test) error(404, t.test.notFound);
  return { title: t.prepare.title(test.code), test };
};
