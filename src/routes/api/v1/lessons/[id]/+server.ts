import { z } from 'zod';
import { answering, bodyOf } from '$lib/server/answer';
import { serverNow } from '$lib/server/clock';
import { newLesson } from '$lib/contract/practice';
import { closeLesson, deleteLesson, mendLesson } from '$lib/server/lessons/lessons';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';

/** Closes a lesson, or opens it again. */
export const PATCH: RequestHandler = ({ params, request }) =>
  answering(async () => {
    const { closed } = await bodyOf(request, z.object({ closed: z.boolean() }));
    await closeLesson(await store(), params.id, closed ? serverNow() : null);
    return {};
  });

/** Mends the sheet of a lesson. */
export const PUT: RequestHandler = ({ params, request }) =>
  answering(async () => {
    await mendLesson(await store(), params.id, await bodyOf(request, newLesson));
    return {};
  });

/** Deletes a lesson with everybody in it. */
export const DELETE: RequestHandler = ({ params }) =>
  answering(async () => {
    await deleteLesson(await store(), params.id);
    return {};
  });
