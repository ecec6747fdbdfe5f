import { json } from '@sveltejs/kit';
import { logCsvParts } from '$lib/formats/log-csv';
import { logJsonParts, logToJson } from '$lib/formats/json';
import { serverNow } from '$lib/server/clock';
import { pageAsked, pageOf, streamed } from '$lib/server/download';
import { eachLine, eachShown } from '$lib/server/repositories/log';
import { store } from '$lib/server/store';
import { readLogAddress } from '$lib/workbench/find';
import type { RequestHandler } from './$types';

/** The tests that a page of the log with the same address shows; in pages, newest first, where a limit is given. */
export const GET: RequestHandler = async ({ url }) => {
  const bench = await store();
  const { limit, after } = await pageAsked(bench, url);
  const asked = readLogAddress(url.searchParams);
  const lines =
    limit === undefined && after === undefined
      ? eachShown(bench, asked)
      : eachLine(bench, 'kept', { asked, after, most: limit });
  if (url.searchParams.get('format') === 'csv')
    return streamed(logCsvParts(lines), 'text/csv', 'tivrel-log.csv');
  if (limit === undefined) return streamed(logJsonParts(lines, serverNow()), 'application/json');
  const { items, next } = await pageOf(lines, limit);
  return json(logToJson(items, serverNow(), next));
};
