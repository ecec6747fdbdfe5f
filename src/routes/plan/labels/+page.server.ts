import { samplesToPick, secondJars } from '$lib/server/repositories/samples';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends, url }) => {
  depends('tivrel:data');
  const { db } = await store();
  const asked = url.searchParams.get('samples')?.split(',') ?? [];
  const one = url.searchParams.get('sample');
  const wanted = [...(one ? [one] : []), ...asked];
  const samples = await samplesToPick(db, wanted);
  return {
    title: t.labels.title,
    samples,
    secondJars: await secondJars(db, { sampleIds: samples.map((one) => one.id) }),
    wanted
  };
};
