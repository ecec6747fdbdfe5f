import { z } from 'zod';
import { answering, bodyOf } from '$lib/server/answer';
import { changeLearner } from '$lib/server/lessons/lessons';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';

const change = z.object({ what: z.enum(['give-back', 'free', 'remove']) });

/** Gives a learner the sheet back, frees the name for another device, or takes the learner out. */
export const POST: RequestHandler = ({ params, request }) =>
  answering(async () => {
    const { what } = await bodyOf(request, change);
    await changeLearner(await store(), params.id, what);
    return {};
  });
