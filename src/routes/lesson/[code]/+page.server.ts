import { error, redirect } from '@sveltejs/kit';
import { newLearner } from '$lib/contract/practice';
import { serverNow } from '$lib/server/clock';
import { asked, textsOf } from '$lib/server/form';
import { guessedByClass } from '$lib/server/guessing';
import { keepLearner, LEARNER_COOKIE } from '$lib/server/lessons/cookie';
import { joinLesson, lessonTitle, ownSheet } from '$lib/server/lessons/learners';
import { CommandProblem, fieldsProblem } from '$lib/server/problem';
import { codeAsKept } from '$lib/server/spoken-code';
import { store } from '$lib/server/store';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, cookies, depends, getClientAddress }) => {
  depends('tivrel:data');
  const { db } = await store();
  const own = await ownSheet(db, cookies.get(LEARNER_COOKIE) ?? '');
  if (own?.lesson.code === codeAsKept(params.code)) return { title: own.lesson.title, own };
  // An address with a code in it is a guess as well.
  const title = await guessedByClass(getClientAddress(), () => lessonTitle(db, params.code)).catch(
    (problem: unknown) => {
      if (!(problem instanceof CommandProblem)) throw problem;
      if (problem.status === 429) error(429, problem.message);
      redirect(303, '/lesson');
    }
  );
  return { title, own: undefined };
};

export const actions: Actions = {
  /** Joins. */
  default: async ({ params, request, cookies, getClientAddress }) => {
    const texts = await textsOf(request);
    const problem = await asked(texts, async () => {
      const given = newLearner.safeParse(texts);
      if (!given.success) throw fieldsProblem(given.error.issues);
      const bench = await store();
      const cookie = await guessedByClass(getClientAddress(), () =>
        joinLesson(bench, params.code, given.data, serverNow())
      );
      keepLearner(cookies, cookie, request);
    });
    if (problem) return problem;
    redirect(303, `/lesson/${codeAsKept(params.code)}`);
  }
};
