import { json } from '@sveltejs/kit';
import { logCsvParts } from '$lib/formats/csv';
import { logJsonParts, logToJson } from '$lib/formats/json';
import { serverNow } from '$lib/server/clock';
import { pageAsked, pageOf, streamed } from '$lib/server/download';
import { eachLine, eachShown } from '$lib/server/repositories/log';
import { store } from '$lib/server/store';
import { readLogAddress } from '$lib/workbench/find';
import type { RequestHandler } from './$types';

/** All tests, or those that a page of the log with the same address shows; in pages where a limit is given. */
export const GET: RequestHandler = async ({ url }) => {
  const bench = await store();
  const { limit, after } = await pageAsked(bench, url);
  if (limit !== undefined) {
    const { items, next } = await pageOf(eachLine(bench, 'kept', { after, most: limit }), limit);
    return json(logToJson(items, serverNow(), next));
  }
  const lines = eachShown(bench, readLogAddress(url.searchParams));
  if (url.searchParams.get('format') === 'csv')
    return streamed(logCsvParts(lines), 'text/csv', 'tivrel-log.csv');
  return streamed(logJsonParts(lines, serverNow()), 'application/json');
};
