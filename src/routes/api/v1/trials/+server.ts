import { json } from '@sveltejs/kit';
import { trialsToCsv, trialsToJson } from '$lib/formats/trials';
import { serverNow } from '$lib/server/clock';
import { download } from '$lib/server/download';
import { usualFigures } from '$lib/server/repositories/profiles';
import { trialsOf } from '$lib/server/repositories/trials';
import { store } from '$lib/server/store';
import { viewTrial } from '$lib/workbench/trials';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ url }) => {
  const { db } = await store();
  const by = await usualFigures(db);
  const all = (await trialsOf(db, { all: true })).trials.map((one) => viewTrial(one, by, serverNow()));
  if (url.searchParams.get('format') === 'csv')
    return download(trialsToCsv(all), 'text/csv', 'tivrel-trials.csv');
  return json(trialsToJson(all));
};
