import { sheetAnswer } from '$lib/contract/practice';
import { answering, bodyOf } from '$lib/server/answer';
import { serverNow } from '$lib/server/clock';
import { LEARNER_COOKIE } from '$lib/server/lessons/cookie';
import { answerTask } from '$lib/server/lessons/learners';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';

/** Keeps what a learner answers to a task of the sheet. */
export const PUT: RequestHandler = ({ params, request, cookies }) =>
  answering(async () => {
    const answer = await bodyOf(request, sheetAnswer);
    const cookie = cookies.get(LEARNER_COOKIE) ?? '';
    return answerTask(await store(), cookie, Number(params.no), answer, serverNow());
  });
