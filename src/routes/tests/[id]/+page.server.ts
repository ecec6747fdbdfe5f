import { error } from '@sveltejs/kit';
import { figuresOf } from '$lib/core';
import { knownSoil } from '$lib/server/kept';
import { holesOf } from '$lib/server/repositories/holes';
import { offeredMethods } from '$lib/server/repositories/methods';
import { photosOf } from '$lib/server/repositories/photos';
import { profilesOf } from '$lib/server/repositories/profiles';
import { shownTest } from '$lib/server/shown';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, depends }) => {
  depends('tivrel:data');
  const { db } = await store();
  const test = await shownTest(db, params.id);
  if (!test) error(404, t.test.notFound);
  const methods = (await offeredMethods(db)).map((m) => m.method);
  return {
    title: test.code,
    test,
    known: await knownSoil(db, test.sample),
    // What its verdict goes by: the first of the beds as it is asked for now, the figures, and the holes of its area.
    bed: (await profilesOf(db, 'bed'))[0],
    techniques: await profilesOf(db, 'technique'),
    figures: figuresOf((await profilesOf(db, 'figures'))[0]),
    dug: test.sample.areaId ? (await holesOf(db, { areaId: test.sample.areaId })).holes : [],
    photos: await photosOf(db, 'test', [test.id]),
    methods: methods.map(({ key, name }) => ({ key, name }))
  };
};
