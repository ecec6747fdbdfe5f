import { json } from '@sveltejs/kit';
import { judgementsToCsv, judgementsToJson } from '$lib/formats/judgements';
import { download } from '$lib/server/download';
import { judgementsOf } from '$lib/server/repositories/judgements';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ url }) => {
  const all = await judgementsOf((await store()).db);
  if (url.searchParams.get('format') === 'csv')
    return download(judgementsToCsv(all), 'text/csv', 'tivrel-judgements.csv');
  return json(judgementsToJson(all));
};
