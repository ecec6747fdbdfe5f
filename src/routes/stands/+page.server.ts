import { samplesToPick } from '$lib/server/repositories/samples';
import { allVessels } from '$lib/server/repositories/vessels';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends }) => {
  depends('tivrel:data');
  const { db } = await store();
  return { title: t.stands.title, vessels: await allVessels(db), samples: await samplesToPick(db) };
};
