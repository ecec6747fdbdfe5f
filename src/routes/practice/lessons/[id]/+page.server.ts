import { error } from '@sveltejs/kit';
import { config } from '$lib/server/config';
import { lessonDetail } from '$lib/server/lessons/lessons';
import { store } from '$lib/server/store';
import { refusals } from '$lib/words/refusals';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, depends, request }) => {
  depends('tivrel:data');
  const lesson = await lessonDetail((await store()).db, params.id);
  if (!lesson) error(404, refusals.practice.noLesson);
  return {
    title: lesson.title,
    lesson,
    join: `${config().origin ?? `http://${request.headers.get('host')}`}/lesson`
  };
};
