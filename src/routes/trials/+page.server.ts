import { trialsOf } from '$lib/server/repositories/trials';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

/** Every set of trial pieces there is, and those that cannot be read. */
export const load: PageServerLoad = async ({ depends }) => {
  depends('tivrel:data');
  const { trials, unreadable } = await trialsOf((await store()).db, { all: true });
  return { title: t.trial.beside, all: trials, odd: unreadable };
};
