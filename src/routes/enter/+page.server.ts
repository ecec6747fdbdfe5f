import { fail, redirect } from '@sveltejs/kit';
import { config } from '$lib/server/config';
import { PASS_COOKIE } from '$lib/server/door';
import { t } from '$lib/words';
import type { Actions } from './$types';

export const load = () => ({ title: t.enter.title });

export const actions: Actions = {
  default: async ({ request, cookies, url, getClientAddress }) => {
    const given = String((await request.formData()).get('passphrase') ?? '');
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
        maxAge: 31_536_000
      } as const;
      cookies.set(PASS_COOKIE, await door.token(), options);
    }
    const to = url.searchParams.get('to') ?? '/';
    redirect(303, to.startsWith('/') && !to.startsWith('//') ? to : '/');
  }
};
