import { newLesson } from '$lib/contract/practice';
import { answering, bodyOf } from '$lib/server/answer';
import { serverNow } from '$lib/server/clock';
import { addLesson } from '$lib/server/lessons/lessons';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';

/** Makes a lesson. */
export const POST: RequestHandler = ({ request }) =>
  answering(
    async () => ({
      id: await addLesson(await store(), await bodyOf(request, newLesson), serverNow())
    }),
    201
  );
