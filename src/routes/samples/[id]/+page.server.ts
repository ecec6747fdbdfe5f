import { error } from '@sveltejs/kit';
import { keptTest, knownSoil } from '$lib/server/kept';
import { trialsOf } from '$lib/server/repositories/trials';
import { besideMix } from '$lib/workbench/promise';
import { labReports } from '$lib/server/repositories/lab';
import { linesOfSample } from '$lib/server/repositories/log';
import { photosOf } from '$lib/server/repositories/photos';
import { sampleById } from '$lib/server/repositories/samples';
import { allSites, siteDetail } from '$lib/server/repositories/sites';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, depends }) => {
  depends('tivrel:data');
  const bench = await store();
  const { db } = bench;
  const sample = await sampleById(db, params.id);
  if (!sample) error(404, t.sample.notFound);
  const sites = await Promise.all((await allSites(db)).map(({ id }) => siteDetail(db, id)));
  const lines = await linesOfSample(bench, sample.id);
  // Jars of a mix stand beside what it promised.
  const mixed = [];
  for (const { id } of sample.details.mix ? lines : []) {
    const one = await keptTest(db, id);
    const beside = one && besideMix(one.kept.snapshot, sample.details);
    if (beside) mixed.push({ id, code: one.detail.code, beside });
  }
  return {
    title: sample.code,
    mixed,
    pieces: (await trialsOf(db, { sampleIds: [sample.id] })).trials,
    sample,
    known: await knownSoil(db, sample),
    sites: sites.filter((s) => s !== undefined),
    reports: await labReports(db, [sample.id]),
    photos: await photosOf(db, 'sample', [sample.id]),
    lines
  };
};
