import { allSamples, secondJars } from '$lib/server/repositories/samples';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends, url }) => {
  depends('tivrel:data');
  const { db } = await store();
  return {
    title: t.labels.title,
    samples: await allSamples(db),
    secondJars: await secondJars(db),
    wanted: url.searchParams.get('sample')
  };
};
