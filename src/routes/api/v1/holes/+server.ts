import { json } from '@sveltejs/kit';
import { holesToCsv, holesToJson } from '$lib/formats/beds';
import { serverNow } from '$lib/server/clock';
import { download } from '$lib/server/download';
import { holesOf } from '$lib/server/repositories/holes';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ url }) => {
  const all = (await holesOf((await store()).db, { all: true })).holes;
  if (url.searchParams.get('format') === 'csv')
    return download(holesToCsv(all, serverNow()), 'text/csv', 'tivrel-holes.csv');
  return json(holesToJson(all, serverNow()));
};
