import { fail, redirect } from '@sveltejs/kit';
import { config } from '$lib/server/config';
import { guesses } from '$lib/server/door';
import { letIn } from '$lib/server/entering';
import { textsOf } from '$lib/server/form';
import { ownPath } from '$lib/server/gate';
import { tryPerson } from '$lib/server/people';
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
    const bench = await store();
    const from = event.getClientAddress();
    const to = ownPath(event.url.searchParams.get('to'));
    const { door } = config();
    const named = event.locals.people > 0 && (name.trim() !== '' || !door);
    if (!named && !door) redirect(303, to);
    const tried = named
      ? await tryPerson(bench, { name, passphrase }, from, guesses)
      : ((await door?.try(passphrase, from)) ?? 'wrong');
    if (tried === 'wrong') return fail(401, { error: named ? t.enter.wrongPair : t.enter.wrong, name });
    if (tried === 'in') {
      if (door) await letIn(bench, { door }, { ...event, device: event.locals.device });
    } else if ('waitS' in tried) return fail(429, { error: t.enter.wait(tried.waitS), name });
    else await letIn(bench, tried, { ...event, device: event.locals.device });
    redirect(303, to);
  }
};
