import { isJarSnapshot } from '$lib/contract/records';
import { labReports } from '$lib/server/repositories/lab';
import { testDetail } from '$lib/server/repositories/tests';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';
import { isShare } from '$lib/core';

/** How many tests stand side by side at most. */
const MOST = 12;

/** The tests that are compared, by `?tests=ID,ID`, in that order, each with the reports of its sample. */
export const load: PageServerLoad = async ({ url, depends }) => {
  depends('tivrel:data');
  const ids = [...new Set((url.searchParams.get('tests') ?? '').split(',').filter(Boolean))].slice(0, MOST);
  const { db } = await store();
  const columns = await Promise.all(
    ids.map(async (id) => {
      const detail = await testDetail(db, id);
      const kept = detail?.results.findLast((r) => r.reopenedAt === null);
      if (!detail || !kept) return [];
      const { snapshot } = kept;
      if (isJarSnapshot(snapshot) && isShare(snapshot.result)) return [];
      const result = snapshot.result as Exclude<typeof snapshot.result, { kind: 'share' }>;
      const mass = isJarSnapshot(snapshot) ? (snapshot.mass ?? null) : null;
      return [
        {
          id,
          code: detail.code,
          sampleId: detail.sample.id,
          sampleName: detail.sample.name,
          methodKey: detail.methodKey,
          methodName: detail.method.name,
          at: detail.runs.at(-1)?.setDownAt ?? detail.createdAt,
          weighed: !isJarSnapshot(snapshot),
          fractions: result.fractions,
          sd: result.sd,
          className: result.class.name,
          probability: result.probability,
          mass: mass && {
            fractions: mass.fractions,
            sd: mass.sd,
            className: mass.class.name,
            probability: mass.probability
          },
          lab: (await labReports(db, detail.sample.id)).at(-1) ?? null
        }
      ];
    })
  );
  return { title: t.know.compare.title, columns: columns.flat(), most: MOST };
};
