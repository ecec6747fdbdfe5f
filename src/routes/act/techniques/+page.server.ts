import { offeredProfiles } from '$lib/server/repositories/profiles';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends }) => {
  depends('tivrel:data');
  return {
    title: t.wall.techniques.title,
    techniques: await offeredProfiles((await store()).db, 'technique')
  };
};
