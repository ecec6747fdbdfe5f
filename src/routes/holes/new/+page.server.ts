import { allSites, siteDetail } from '$lib/server/repositories/sites';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

/** The areas that a hole can be dug in, with their spots. */
export const load: PageServerLoad = async ({ url, depends }) => {
  depends('tivrel:data');
  const { db } = await store();
  const areas = [];
  for (const site of await allSites(db)) {
    for (const { id, name, spots } of (await siteDetail(db, site.id))?.areas ?? [])
      areas.push({ id, name, spots: spots.map((s) => ({ id: s.id, no: s.no })) });
  }
  const asked = url.searchParams.get('area');
  return { title: t.hole.newTitle, areas, asked: areas.find((a) => a.id === asked)?.id ?? null };
};
