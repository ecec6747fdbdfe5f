import { json } from '@sveltejs/kit';
import { amendmentsToCsv, amendmentsToJson } from '$lib/formats/beds';
import { download } from '$lib/server/download';
import { amendmentsOf } from '$lib/server/repositories/amendments';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ url }) => {
  const all = await amendmentsOf((await store()).db);
  if (url.searchParams.get('format') === 'csv')
    return download(amendmentsToCsv(all), 'text/csv', 'tivrel-amendments.csv');
  return json(amendmentsToJson(all));
};
