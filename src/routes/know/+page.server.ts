import { testDetail } from '$lib/server/repositories/tests';
import { store } from '$lib/server/store';
import { resultOf } from '$lib/workbench/result';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

/** The test in hand, by `?test=`: what it kept, for the tint and the curve. */
export const load: PageServerLoad = async ({ url, depends }) => {
  depends('tivrel:data');
  const id = url.searchParams.get('test');
  const { db } = await store();
  const detail = id ? await testDetail(db, id) : undefined;
  const kept = detail && resultOf(detail);
  const chosen =
    detail && kept
      ? {
          id: detail.id,
          code: detail.code,
          sampleName: detail.sample.name,
          jar: kept.kind === 'jar' && !kept.snapshot.answer ? kept.region : null,
          answer: kept.kind === 'jar' ? (kept.snapshot.answer ?? null) : null,
          cylinder: kept.kind === 'cylinder' ? kept.snapshot : null
        }
      : null;
  return { title: t.know.title, chosen };
};
