import { error, json } from '@sveltejs/kit';
import { testToCsv } from '$lib/formats/csv';
import { testToJson } from '$lib/formats/json';
import { serverNow } from '$lib/server/clock';
import { download } from '$lib/server/download';
import { shownTest } from '$lib/server/shown';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';
import { refusals } from '$lib/words/refusals';

export const GET: RequestHandler = async ({ params, url }) => {
  const test = await shownTest((await store()).db, params.id);
  if (!test) error(404, refusals.api.testGone);
  if (url.searchParams.get('format') === 'csv')
    return download(testToCsv(test), 'text/csv', `tivrel-${test.code}.csv`);
  return json(testToJson(test, serverNow()));
};
