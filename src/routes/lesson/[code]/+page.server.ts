import { redirect } from '@sveltejs/kit';
import { newLearner } from '$lib/contract/practice';
import { serverNow } from '$lib/server/clock';
import { guesses } from '$lib/server/door';
import { asked, textsOf } from '$lib/server/form';
import { keepLearner, LEARNER_COOKIE } from '$lib/server/lessons/cookie';
import { joinLesson, lessonTitle, ownSheet } from '$lib/server/lessons/learners';
import { CommandProblem, fieldsProblem } from '$lib/server/problem';
import { codeAsKept } from '$lib/server/spoken-code';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { Actions, PageServerLoad } from './$types';

/** Counts a guess at a code. @throws {CommandProblem} where there were too many */
async function guessed(from: string): Promise<void> {
  const waitS = await guesses.count(from);
  if (waitS !== undefined) throw new CommandProblem(t.enter.wait(waitS), { code: t.enter.wait(waitS) }, 429);
}

export const load: PageServerLoad = async ({ params, cookies, depends, getClientAddress }) => {
  depends('tivrel:data');
  const { db } = await store();
  const own = await ownSheet(db, cookies.get(LEARNER_COOKIE) ?? '');
  if (own?.lesson.code === codeAsKept(params.code)) return { title: own.lesson.title, own };
  await guesses.count(getClientAddress());
  const title = await lessonTitle(db, params.code).catch((problem: unknown) => {
    if (problem instanceof CommandProblem) redirect(303, '/lesson');
    throw problem;
  });
  await guesses.right(getClientAddress());
  return { title, own: undefined };
};

export const actions: Actions = {
  /** Joins. */
  default: async ({ params, request, cookies, getClientAddress }) => {
    const texts = await textsOf(request);
    const problem = await asked(texts, async () => {
      await guessed(getClientAddress());
      const given = newLearner.safeParse(texts);
      if (!given.success) throw fieldsProblem(given.error.issues);
      const cookie = await joinLesson(await store(), params.code, given.data, serverNow());
      await guesses.right(getClientAddress());
      keepLearner(cookies, cookie, request);
    });
    if (problem) return problem;
    redirect(303, `/lesson/${codeAsKept(params.code)}`);
  }
};
