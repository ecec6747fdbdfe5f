import { allLessons } from '$lib/server/lessons/lessons';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends }) => {
  depends('tivrel:data');
  return { title: t.lessons.title, lessons: await allLessons((await store()).db) };
};
