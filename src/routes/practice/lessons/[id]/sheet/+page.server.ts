import { error } from '@sveltejs/kit';
import { lessonById } from '$lib/server/lessons/lessons';
import { store } from '$lib/server/store';
import { refusals } from '$lib/words/refusals';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, depends }) => {
  depends('tivrel:data');
  const lesson = await lessonById((await store()).db, params.id);
  if (!lesson) error(404, refusals.practice.noLesson);
  return { title: lesson.title, lesson };
};
