import { isJarSnapshot } from '$lib/contract/records';
import { testDetail } from '$lib/server/repositories/tests';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

/** The test in hand, by `?test=`: what it kept, for the tint and the curve. */
export const load: PageServerLoad = async ({ url, depends }) => {
  depends('tivrel:data');
  const id = url.searchParams.get('test');
  const { db } = await store();
  const detail = id ? await testDetail(db, id) : undefined;
  const kept = detail?.results.findLast((r) => r.reopenedAt === null);
  const chosen =
    detail && kept
      ? {
          id: detail.id,
          code: detail.code,
          sampleName: detail.sample.name,
          vessel: detail.vessel,
          waterMm: detail.waterMm,
          jar: isJarSnapshot(kept.snapshot) ? kept.snapshot : null,
          cylinder: isJarSnapshot(kept.snapshot) ? null : kept.snapshot
        }
      : null;
  return { title: t.know.title, chosen };
};
