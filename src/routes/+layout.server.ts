import { serverNow } from '$lib/server/clock';
import { latestNews } from '$lib/server/live';
import { benchShelf } from '$lib/server/repositories/tests';
import { store } from '$lib/server/store';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ locals, depends }) => {
  depends('tivrel:data');
  // Taken before anything is read: what comes in meanwhile is news to this page.
  const news = latestNews();
  // Before the passphrase is given, nothing of the bench is told.
  const shelf = locals.entered
    ? await (await store()).shared('bench', benchShelf)
    : { jars: [], unreadable: [] };
  return { profile: locals.profile, zone: locals.zone, now: serverNow(), news, ...shelf };
};
