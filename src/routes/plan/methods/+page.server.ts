import { offeredMethods } from '$lib/server/repositories/methods';
import { allVessels } from '$lib/server/repositories/vessels';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends }) => {
  depends('tivrel:data');
  const { db } = await store();
  return { title: t.plan.title, vessels: await allVessels(db), methods: await offeredMethods(db) };
};
