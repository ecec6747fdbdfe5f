import { fail, redirect } from '@sveltejs/kit';
import { config } from '$lib/server/config';
import { guesses } from '$lib/server/door';
import { letIn } from '$lib/server/entering';
import { textsOf } from '$lib/server/form';
import { ownPath } from '$lib/server/gate';
import { tryPerson } from '$lib/server/people';
import { databaseProblem } from '$lib/server/problem';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => ({
  title: t.enter.title,
  byName: locals.people > 0,
  byBench: config().door !== undefined
});

export const actions: Actions = {
  default: async (event) => {
    const { passphrase = '', name = '' } = await textsOf(event.request);
    const refused = (status: number, error: string) => fail(status, { error, name });
    const { door } = config();
    const named = event.locals.people > 0 && (name.trim() !== '' || !door);
    try {
      if (named || door) {
        const bench = await store();
        const from = event.getClientAddress();
        const tried = named
          ? await tryPerson(bench, { name, passphrase }, from, guesses)
          : ((await door?.try(passphrase, from)) ?? 'wrong');
        if (tried === 'wrong') return refused(401, named ? t.enter.wrongPair : t.enter.wrong);
        if (tried !== 'in' && 'waitS' in tried) return refused(429, t.enter.wait(tried.waitS));
        if (tried !== 'in') await letIn(bench, tried, { ...event, device: event.locals.device });
        else if (door) await letIn(bench, { door }, { ...event, device: event.locals.device });
      }
    } catch (problem) {
      const said = databaseProblem(problem);
      if (said) return refused(said.status, said.message);
      throw problem;
    }
    redirect(303, ownPath(event.url.searchParams.get('to')));
  }
};
