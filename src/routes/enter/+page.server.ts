import { fail, redirect } from '@sveltejs/kit';
import { config } from '$lib/server/config';
import { PASS_COOKIE, passToken, sameText } from '$lib/server/gate';
import { t } from '$lib/words';
import type { Actions } from './$types';

/** Slows guessing down: every wrong try waits this long, ms. */
const WRONG_WAIT_MS = 800;

export const load = () => ({ title: t.enter.title });

export const actions: Actions = {
  default: async ({ request, cookies, url }) => {
    const given = String((await request.formData()).get('passphrase') ?? '');
    const { passphrase } = config();
    if (passphrase && !sameText(given, passphrase)) {
      await new Promise((resolve) => setTimeout(resolve, WRONG_WAIT_MS));
      return fail(401, { wrong: true });
    }
    if (passphrase) {
      const options = {
        path: '/',
        httpOnly: true,
        sameSite: 'lax',
        secure: request.headers.get('x-forwarded-proto') === 'https',
        maxAge: 31_536_000
      } as const;
      cookies.set(PASS_COOKIE, passToken(passphrase), options);
    }
    const to = url.searchParams.get('to') ?? '/';
    redirect(303, to.startsWith('/') && !to.startsWith('//') ? to : '/');
  }
};
