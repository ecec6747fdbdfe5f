import { testDetail } from '$lib/server/repositories/tests';
import { knowPoints } from '$lib/server/repositories/points';
import { store } from '$lib/server/store';
import { resultOf } from '$lib/workbench/result';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

/** The finished tests there are, and the one in hand, by `?test=`: what it kept. */
export const load: PageServerLoad = async ({ url, depends }) => {
  depends('tivrel:data');
  const id = url.searchParams.get('test');
  const { db } = await store();
  const detail = id ? await testDetail(db, id) : undefined;
  const kept = detail && resultOf(detail);
  return {
    title: t.act.title,
    tests: (await knowPoints(db)).map((p) => ({ id: p.id, code: p.code, name: p.sampleName })),
    chosen:
      detail && kept
        ? { id: detail.id, code: detail.code, sample: detail.sample, snapshot: kept.snapshot }
        : null
  };
};
