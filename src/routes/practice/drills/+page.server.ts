import { soloLearners } from '$lib/server/lessons/alone';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends }) => {
  depends('tivrel:data');
  return { title: t.drills.title, learners: await soloLearners((await store()).db) };
};
