import { redirect } from '@sveltejs/kit';
import { serverNow } from '$lib/server/clock';
import { guesses } from '$lib/server/door';
import { asked, textsOf } from '$lib/server/form';
import { changePassphrase } from '$lib/server/people';
import { endSessionById, sessionsOf } from '$lib/server/sessions';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends, locals }) => {
  depends('tivrel:data');
  if (!locals.person) redirect(303, '/people');
  return {
    title: t.people.own,
    sessions: await sessionsOf(await store(), locals.sessionId, locals.person.id)
  };
};

export const actions: Actions = {
  passphrase: async ({ request, locals, getClientAddress }) => {
    const texts = await textsOf(request);
    return asked(texts, async () => {
      const { person, sessionId, who } = locals;
      if (!person || !sessionId) redirect(303, '/people');
      const { now = '', next = '' } = texts;
      const by = { who, now: serverNow(), sessionId, from: getClientAddress(), guesses };
      await changePassphrase(await store(), person.id, { now, next }, by);
      return { changed: true };
    });
  },
  session: async ({ request, locals }) => {
    const { id = '' } = await textsOf(request);
    if (locals.person) await endSessionById(await store(), id, locals.person.id);
  }
};
