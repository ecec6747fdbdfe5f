import { redirect } from '@sveltejs/kit';
import { allSites } from '$lib/server/repositories/sites';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

/** The ground: straight to the newest site, unless another is to be added. */
export const load: PageServerLoad = async ({ url, depends }) => {
  depends('tivrel:data');
  const sites = await allSites((await store()).db);
  if (sites.length > 0 && !url.searchParams.has('new')) redirect(307, `/plan/ground/${sites[0].id}`);
  return { title: t.ground.title, first: sites.length === 0 };
};
