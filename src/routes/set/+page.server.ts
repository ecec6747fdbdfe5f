import { allSamples } from '$lib/server/repositories/samples';
import { allVessels } from '$lib/server/repositories/vessels';
import { store } from '$lib/server/store';
import { t } from '$lib/ui/strings';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends, url }) => {
  depends('tivrel:data');
  const { db } = await store();
  return {
    title: t.set.title,
    samples: await allSamples(db),
    vessels: await allVessels(db),
    wanted: url.searchParams.get('sample'),
    wantedMethod: url.searchParams.get('method')
  };
};
