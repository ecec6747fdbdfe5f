import { redirect } from '@sveltejs/kit';
import { serverNow } from '$lib/server/clock';
import { guessed } from '$lib/server/guessing';
import { letIn } from '$lib/server/entering';
import { asked, textsOf } from '$lib/server/form';
import { acceptInvite, invitedAs, newPerson } from '$lib/server/people';
import { fieldsProblem } from '$lib/server/problem';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = () => ({ title: t.people.joinTitle });

export const actions: Actions = {
  /** Looks at a code: what it invites to. */
  code: async ({ request, getClientAddress }) => {
    const texts = await textsOf(request);
    return asked(texts, async () => {
      const { code = '' } = texts;
      const looked = async () => invitedAs((await store()).db, code, serverNow());
      return { code, role: await guessed(getClientAddress(), looked), errors: {}, typed: {} };
    });
  },
  /** Comes in. */
  join: async (event) => {
    const texts = await textsOf(event.request);
    const problem = await asked(texts, async () => {
      const { code = '', ...rest } = texts;
      const given = newPerson.safeParse(rest);
      if (!given.success) throw fieldsProblem(given.error.issues);
      const bench = await store();
      const personId = await guessed(event.getClientAddress(), () =>
        acceptInvite(bench, code, given.data, serverNow())
      );
      await letIn(bench, { personId }, { ...event, device: event.locals.device });
    });
    if (problem) return problem;
    redirect(303, '/');
  }
};
