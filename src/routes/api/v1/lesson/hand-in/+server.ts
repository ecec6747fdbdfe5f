import { answering } from '$lib/server/answer';
import { serverNow } from '$lib/server/clock';
import { LEARNER_COOKIE } from '$lib/server/lessons/cookie';
import { handIn } from '$lib/server/lessons/learners';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';

/** Hands a sheet in. */
export const POST: RequestHandler = ({ cookies }) =>
  answering(async () => {
    await handIn(await store(), cookies.get(LEARNER_COOKIE) ?? '', serverNow());
    return {};
  });
