import { teacherMark } from '$lib/contract/practice';
import { answering, bodyOf } from '$lib/server/answer';
import { markAnswer } from '$lib/server/lessons/lessons';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';

/** Marks an answer of a learner; null takes the mark off again. */
export const PATCH: RequestHandler = ({ params, request }) =>
  answering(async () => {
    const { points } = await bodyOf(request, teacherMark);
    await markAnswer(await store(), params.id, points);
    return {};
  });
