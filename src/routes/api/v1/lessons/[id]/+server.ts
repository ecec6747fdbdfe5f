import { z } from 'zod';
import { answering, bodyOf } from '$lib/server/answer';
import { serverNow } from '$lib/server/clock';
import { closeLesson, deleteLesson } from '$lib/server/lessons/lessons';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';

/** Closes a lesson, or opens it again. */
export const PATCH: RequestHandler = ({ params, request }) =>
  answering(async () => {
    const { closed } = await bodyOf(request, z.object({ closed: z.boolean() }));
    await closeLesson(await store(), params.id, closed ? serverNow() : null);
    return {};
  });

/** Deletes a lesson with everybody in it. */
export const DELETE: RequestHandler = ({ params }) =>
  answering(async () => {
    await deleteLesson(await store(), params.id);
    return {};
  });
