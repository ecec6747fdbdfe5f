import { json } from '@sveltejs/kit';
import { logToCsv } from '$lib/formats/csv';
import { logToJson } from '$lib/formats/json';
import { serverNow } from '$lib/server/clock';
import { download } from '$lib/server/download';
import { logLines } from '$lib/server/repositories/log';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ url }) => {
  const lines = await logLines((await store()).db, 'kept');
  if (url.searchParams.get('format') === 'csv')
    return download(logToCsv(lines), 'text/csv', 'tivrel-log.csv');
  return json(logToJson(lines, serverNow()));
};
