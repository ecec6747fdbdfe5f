import { alongOf } from '$lib/contract/act';
import { keptTest } from '$lib/server/kept';
import { knowPoints } from '$lib/server/repositories/points';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

/** The finished tests there are; the one in hand, by `?test=`; and those along a bore, by `?along=`. */
export const load: PageServerLoad = async ({ url, depends }) => {
  depends('tivrel:data');
  const { db } = await store();
  const inHand = await keptTest(db, url.searchParams.get('test'));
  const stations = [];
  for (const { id, atM } of alongOf(url.searchParams.get('along'))) {
    const one = await keptTest(db, id);
    if (one) stations.push({ id, atM, code: one.detail.code, snapshot: one.kept.snapshot });
  }
  return {
    title: t.act.title,
    tests: (await knowPoints(db)).map((p) => ({ id: p.id, code: p.code, name: p.sampleName })),
    chosen: inHand
      ? {
          id: inHand.detail.id,
          code: inHand.detail.code,
          sample: inHand.detail.sample,
          snapshot: inHand.kept.snapshot
        }
      : null,
    stations
  };
};
