import { error } from '@sveltejs/kit';
import { lessonCsv } from '$lib/formats/lesson-csv';
import { download } from '$lib/server/download';
import { lessonDetail } from '$lib/server/lessons/lessons';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params }) => {
  const lesson = await lessonDetail((await store()).db, params.id);
  if (!lesson) error(404, 'There is no such lesson.');
  return download(lessonCsv(lesson), 'text/csv', `lesson-${lesson.code}.csv`);
};
