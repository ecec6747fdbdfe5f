import { packPoints } from '$lib/contract/points';
import { knowPoints } from '$lib/server/repositories/points';
import { COMPARED_MOST } from '$lib/workbench/compare';
import { DOTS_MOST } from '$lib/workbench/points';
import { labReports } from '$lib/server/repositories/lab';
import { readable } from '$lib/server/kept';
import { store } from '$lib/server/store';
import { findingOf, resultOf } from '$lib/workbench/result';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

/** The tests that are compared, by `?tests=ID,ID`, in that order, each with the reports of its sample. */
export const load: PageServerLoad = async ({ url, depends }) => {
  depends('tivrel:data');
  const ids = [...new Set((url.searchParams.get('tests') ?? '').split(',').filter(Boolean))].slice(
    0,
    COMPARED_MOST
  );
  const bench = await store();
  const { db } = bench;
  const columns = await Promise.all(
    ids.map(async (id) => {
      const detail = await readable(db, id);
      const kept = detail && resultOf(detail);
      if (!kept) return [];
      const finding = findingOf(kept.snapshot);
      if (finding.kind === 'share') return [];
      const run = detail.runs.at(-1);
      const { fractions, sd, className, probability, verdict, weighed, estimated } = finding;
      return [
        {
          id,
          code: detail.code,
          sampleId: detail.sample.id,
          sampleName: detail.sample.name,
          methodKey: detail.methodKey,
          methodName: detail.method.name,
          at: run?.stood === null ? run.setDownAt : null,
          enteredAt: detail.createdAt,
          weighed,
          estimated,
          fractions,
          sd,
          className,
          probability,
          verdict,
          // Weighed, it has no other view beside it.
          mass: weighed ? null : finding.mass,
          lab: (await labReports(db, [detail.sample.id])).at(-1) ?? null
        }
      ];
    })
  );
  return {
    title: t.know.compare.title,
    columns: columns.flat(),
    most: COMPARED_MOST,
    packed: packPoints(await knowPoints(bench, {}, DOTS_MOST))
  };
};
