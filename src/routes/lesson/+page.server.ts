import { redirect } from '@sveltejs/kit';
import { asked, textsOf } from '$lib/server/form';
import { guessedByClass } from '$lib/server/guessing';
import { LEARNER_COOKIE } from '$lib/server/lessons/cookie';
import { lessonTitle, ownSheet } from '$lib/server/lessons/learners';
import { codeAsKept } from '$lib/server/spoken-code';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ cookies }) => {
  const own = await ownSheet((await store()).db, cookies.get(LEARNER_COOKIE) ?? '');
  if (own) redirect(303, `/lesson/${own.lesson.code}`);
  return { title: t.lessons.join.title };
};

export const actions: Actions = {
  /** Finds the lesson of a code. */
  default: async ({ request, getClientAddress }) => {
    const texts = await textsOf(request);
    const problem = await asked(texts, async () => {
      await guessedByClass(getClientAddress(), async () => lessonTitle((await store()).db, texts.code ?? ''));
    });
    if (problem) return problem;
    redirect(303, `/lesson/${codeAsKept(texts.code ?? '')}`);
  }
};
