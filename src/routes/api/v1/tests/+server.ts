import { json } from '@sveltejs/kit';
import { logCsvParts } from '$lib/formats/csv';
import { logJsonParts, logToJson } from '$lib/formats/json';
import { serverNow } from '$lib/server/clock';
import { pageAsked, pageOf, streamed } from '$lib/server/download';
import { eachLine } from '$lib/server/repositories/log';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ url }) => {
  const bench = await store();
  const { limit, after } = await pageAsked(bench, url);
  const lines = eachLine(bench, 'kept', { after, most: limit });
  if (url.searchParams.get('format') === 'csv')
    return streamed(logCsvParts(lines), 'text/csv', 'tivrel-log.csv');
  if (limit === undefined) return streamed(logJsonParts(lines, serverNow()), 'application/json');
  const { items, next } = await pageOf(lines, limit);
  return json(logToJson(items, serverNow(), next));
};
