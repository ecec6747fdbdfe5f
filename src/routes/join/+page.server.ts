import { redirect } from '@sveltejs/kit';
import { serverNow } from '$lib/server/clock';
import { guesses } from '$lib/server/door';
import { letIn } from '$lib/server/entering';
import { asked, textsOf } from '$lib/server/form';
import { acceptInvite, invitedAs, newPerson } from '$lib/server/people';
import { CommandProblem, fieldsProblem } from '$lib/server/problem';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { Actions, PageServerLoad } from './$types';

/** Counts a guess at a code. @throws {CommandProblem} where there were too many */
async function guessed(from: string): Promise<void> {
  const waitS = await guesses.count(from);
  if (waitS !== undefined) throw new CommandProblem(t.enter.wait(waitS), { code: t.enter.wait(waitS) }, 429);
}

export const load: PageServerLoad = () => ({ title: t.people.joinTitle });

export const actions: Actions = {
  /** Looks at a code: what it invites to. */
  code: async ({ request, getClientAddress }) => {
    const texts = await textsOf(request);
    return asked(texts, async () => {
      await guessed(getClientAddress());
      const { code = '' } = texts;
      return { code, role: await invitedAs((await store()).db, code, serverNow()), errors: {}, typed: {} };
    });
  },
  /** Comes in. */
  join: async (event) => {
    const texts = await textsOf(event.request);
    const problem = await asked(texts, async () => {
      const { code = '', ...rest } = texts;
      await guessed(event.getClientAddress());
      const given = newPerson.safeParse(rest);
      if (!given.success) throw fieldsProblem(given.error.issues);
      const bench = await store();
      const personId = await acceptInvite(bench, code, given.data, serverNow());
      await guesses.right(event.getClientAddress());
      await letIn(bench, { personId }, { ...event, device: event.locals.device });
    });
    if (problem) return problem;
    redirect(303, '/');
  }
};
