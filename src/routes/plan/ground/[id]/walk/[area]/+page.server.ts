import { error } from '@sveltejs/kit';
import { photosOf } from '$lib/server/repositories/photos';
import { siteDetail } from '$lib/server/repositories/sites';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, depends }) => {
  depends('tivrel:data');
  const { db } = await store();
  const site = await siteDetail(db, params.id);
  const area = site?.areas.find((a) => a.id === params.area);
  if (!site || !area) error(404, t.ground.areaNotFound);
  const photos = await photosOf(
    db,
    'spot',
    area.spots.map((s) => s.id)
  );
  return { title: area.name, site, area, photos };
};
