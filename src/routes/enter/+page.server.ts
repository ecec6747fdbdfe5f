import { fail, redirect } from '@sveltejs/kit';
import { serverNow } from '$lib/server/clock';
import { config } from '$lib/server/config';
import { PASS_COOKIE } from '$lib/server/door';
import { ownPath } from '$lib/server/gate';
import { openSession, SESSION } from '$lib/server/sessions';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { Actions } from './$types';

export const load = () => ({ title: t.enter.title });

export const actions: Actions = {
  default: async ({ request, cookies, url, getClientAddress }) => {
    const form = await request.formData().catch(() => undefined);
    if (!form) return fail(400, { error: t.enter.wrong });
    const given = String(form.get('passphrase') ?? '');
    const { door } = config();
    if (door) {
      const tried = await door.try(given, getClientAddress());
      if (tried === 'wrong') return fail(401, { error: t.enter.wrong });
      if (tried !== 'in') return fail(429, { error: t.enter.wait(tried.waitS) });
      const options = {
        path: '/',
        httpOnly: true,
        sameSite: 'lax',
        secure: request.headers.get('x-forwarded-proto') === 'https',
        maxAge: SESSION.mostMs / 1000
      } as const;
      cookies.set(PASS_COOKIE, await openSession(await store(), door, serverNow()), options);
    }
    redirect(303, ownPath(url.searchParams.get('to')));
  }
};
