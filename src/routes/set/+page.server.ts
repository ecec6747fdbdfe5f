import { offeredMethods } from '$lib/server/repositories/methods';
import { samplesToPick } from '$lib/server/repositories/samples';
import { allAreas } from '$lib/server/repositories/sites';
import { allVessels } from '$lib/server/repositories/vessels';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ depends, url }) => {
  depends('tivrel:data');
  const { db } = await store();
  return {
    title: t.set.title,
    samples: await samplesToPick(db, url.searchParams.getAll('sample')),
    vessels: await allVessels(db),
    areas: (await allAreas(db)).map(({ id, code, name, purpose }) => ({ id, code, name, purpose })),
    methods: (await offeredMethods(db)).map((m) => m.method),
    wanted: url.searchParams.get('sample'),
    wantedMethod: url.searchParams.get('method')
  };
};
