import { redirect } from '@sveltejs/kit';
import { PASS_COOKIE } from '$lib/server/door';
import { endSession } from '$lib/server/sessions';
import { store } from '$lib/server/store';
import type { Actions } from './$types';

export const load = () => redirect(303, '/profile');

export const actions: Actions = {
  /** Ends the session of this device; what the browser keeps of it goes too. */
  default: async ({ cookies, setHeaders }) => {
    await endSession(await store(), cookies.get(PASS_COOKIE) ?? '');
    cookies.delete(PASS_COOKIE, { path: '/' });
    setHeaders({ 'clear-site-data': '"cache"' });
    redirect(303, '/enter');
  }
};
