import { practisesAs, soloLearners } from '$lib/server/lessons/alone';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends, locals }) => {
  depends('tivrel:data');
  const own = practisesAs(locals.person);
  return {
    title: t.drills.title,
    own,
    learners: own === undefined ? await soloLearners((await store()).db) : []
  };
};
