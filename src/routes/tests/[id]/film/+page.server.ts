import { error } from '@sveltejs/kit';
import { filmsOf } from '$lib/server/repositories/films';
import { shownTest } from '$lib/server/shown';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, depends }) => {
  depends('tivrel:data');
  const { db } = await store();
  const test = await shownTest(db, params.id);
  if (!test) error(404, t.test.notFound);
  return { title: `${t.film.title} ${test.code}`, test, films: await filmsOf(db, test.id) };
};
