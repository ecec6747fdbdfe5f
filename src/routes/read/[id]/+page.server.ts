import { error, redirect } from '@sveltejs/kit';
import { benchCamera } from '$lib/server/bench-camera';
import { labPairs } from '$lib/server/repositories/lab';
import { photosOf } from '$lib/server/repositories/photos';
import { shownTest } from '$lib/server/shown';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, depends }) => {
  depends('tivrel:data');
  const { db } = await store();
  const test = await shownTest(db, params.id);
  if (!test) error(404, t.test.notFound);
  if (test.cylinder) redirect(307, `/read/${test.id}/cylinder`);
  return {
    title: `${t.read.title} ${test.code}`,
    test,
    bench: benchCamera(test.id),
    photos: await photosOf(db, 'test', [test.id]),
    labPairs: (await labPairs(db)).filter((p) => p.testId !== test.id && p.methodKey === test.methodKey)
  };
};
