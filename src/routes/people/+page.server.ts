import { serverNow } from '$lib/server/clock';
import { config } from '$lib/server/config';
import { letIn } from '$lib/server/entering';
import { asked, textsOf } from '$lib/server/form';
import {
  allPeople,
  changeRole,
  endPerson,
  firstKeeper,
  invitePerson,
  newPerson,
  openInvites,
  role,
  withdrawInvite
} from '$lib/server/people';
import { fieldsProblem } from '$lib/server/problem';
import { endSessionById, sessionsOf } from '$lib/server/sessions';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

export const load: PageServerLoad = async ({ depends, locals }) => {
  depends('tivrel:data');
  const bench = await store();
  return {
    title: t.people.title,
    people: await allPeople(bench.db),
    invites: await openInvites(bench.db, serverNow()),
    sessions: await sessionsOf(bench, locals.sessionId),
    own: locals.person?.id ?? null,
    byBench: config().door !== undefined
  };
};

/** An action of a keeper: what it is sent, checked, and who does it. */
const keeping =
  <T>(work: (texts: Record<string, string>, by: { who: string; now: number }) => Promise<T>) =>
  async ({ request, locals }: RequestEvent) => {
    const texts = await textsOf(request);
    return asked(texts, () => work(texts, { who: locals.who, now: serverNow() }));
  };

const roleOf = (text: string | undefined) => {
  const chosen = role.safeParse(text);
  if (!chosen.success) throw fieldsProblem([{ path: ['role'], message: chosen.error.issues[0].message }]);
  return chosen.data;
};

export const actions: Actions = {
  first: async (event) => {
    const texts = await textsOf(event.request);
    return asked(texts, async () => {
      const given = newPerson.safeParse(texts);
      if (!given.success) throw fieldsProblem(given.error.issues);
      const bench = await store();
      const personId = await firstKeeper(bench, given.data, { who: event.locals.who, now: serverNow() });
      await letIn(bench, { personId }, { ...event, device: event.locals.device });
    });
  },
  invite: keeping(async (texts, by) => {
    const as = roleOf(texts.role);
    return { code: await invitePerson(await store(), as, by), role: as };
  }),
  withdraw: keeping(async ({ id = '' }, by) => withdrawInvite(await store(), id, by)),
  role: keeping(async ({ id = '', ...texts }, by) => changeRole(await store(), id, roleOf(texts.role), by)),
  end: keeping(async ({ id = '' }, by) => endPerson(await store(), id, by)),
  session: keeping(async ({ id = '' }) => endSessionById(await store(), id))
};
