import { judgementsOf } from '$lib/server/repositories/judgements';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

/** So many verdicts stand on the bench. */
const DECIDED = 3;

export const load: PageServerLoad = async ({ depends }) => {
  depends('tivrel:data');
  return { title: t.stations.bench, decided: await judgementsOf((await store()).db, { most: DECIDED }) };
};
