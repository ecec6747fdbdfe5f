import { error } from '@sveltejs/kit';
import { newestPoint } from '$lib/server/repositories/points';
import { photosOf } from '$lib/server/repositories/photos';
import { trialsOf } from '$lib/server/repositories/trials';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

/** One set of trial pieces, its pictures, the shares of its soil, and the other sets of it. */
export const load: PageServerLoad = async ({ params, depends }) => {
  depends('tivrel:data');
  const bench = await store();
  const { db } = bench;
  const [trial] = (await trialsOf(db, { id: params.id })).trials;
  if (!trial) error(404, t.trial.notFound);
  const point = await newestPoint(bench, { sampleId: trial.sampleId });
  const { trials } = await trialsOf(db, { sampleIds: [trial.sampleId] });
  return {
    title: `${trial.code} · ${t.trial.title}`,
    trial,
    soil: point?.fractions ?? null,
    testId: point?.id ?? null,
    photos: await photosOf(
      db,
      'piece',
      trial.pieces.map((piece) => piece.id)
    ),
    others: trials.filter((one) => one.id !== trial.id)
  };
};
