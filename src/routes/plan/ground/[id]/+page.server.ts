import { error } from '@sveltejs/kit';
import { amendmentsOf } from '$lib/server/repositories/amendments';
import { holesOf } from '$lib/server/repositories/holes';
import { allSites, siteDetail } from '$lib/server/repositories/sites';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, depends }) => {
  depends('tivrel:data');
  const { db } = await store();
  const site = await siteDetail(db, params.id);
  if (!site) error(404, t.ground.notFound);
  const sites = (await allSites(db)).map(({ id, name }) => ({ id, name }));
  const beds = {
    holes: (await holesOf(db, { all: true })).holes,
    amendments: await amendmentsOf(db)
  };
  return { title: site.name, site, sites, beds };
};
