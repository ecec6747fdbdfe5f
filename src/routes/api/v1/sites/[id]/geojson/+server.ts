import { error } from '@sveltejs/kit';
import { groundToGeoJson } from '$lib/formats/geojson';
import { download } from '$lib/server/download';
import { siteDetail } from '$lib/server/repositories/sites';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';
import { refusals } from '$lib/words/refusals';

/** Areas and spots of a site. */
export const GET: RequestHandler = async ({ params }) => {
  const site = await siteDetail((await store()).db, params.id);
  if (!site) error(404, refusals.api.siteGone);
  const text = JSON.stringify(groundToGeoJson(site), null, 2);
  return download(text, 'application/geo+json', `tivrel-${site.name}.geojson`);
};
