import { error } from '@sveltejs/kit';
import { labReports } from '$lib/server/repositories/lab';
import { logLines } from '$lib/server/repositories/log';
import { photosOf } from '$lib/server/repositories/photos';
import { sampleById } from '$lib/server/repositories/samples';
import { allSites, siteDetail } from '$lib/server/repositories/sites';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, depends }) => {
  depends('tivrel:data');
  const { db } = await store();
  const sample = await sampleById(db, params.id);
  if (!sample) error(404, t.sample.notFound);
  const sites = await Promise.all((await allSites(db)).map(({ id }) => siteDetail(db, id)));
  return {
    title: sample.code,
    sample,
    sites: sites.filter((s) => s !== undefined),
    reports: await labReports(db, sample.id),
    photos: await photosOf(db, 'sample', [sample.id]),
    lines: await logLines(db, 'kept', sample.id)
  };
};
