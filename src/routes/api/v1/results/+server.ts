import { json } from '@sveltejs/kit';
import { resultsJsonParts, resultsToJson } from '$lib/formats/api-json';
import { pageAsked, pageOf, streamed } from '$lib/server/download';
import { eachPoint, newestPoint } from '$lib/server/repositories/points';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ url }) => {
  const bench = await store();
  const code = url.searchParams.get('code');
  if (code !== null) {
    const newest = await newestPoint(bench, { code });
    return json(resultsToJson(newest ? [newest] : []));
  }
  const { limit, after } = await pageAsked(bench, url);
  const points = eachPoint(bench, { after, most: limit });
  if (limit === undefined) return streamed(resultsJsonParts(points), 'application/json');
  const { items, next } = await pageOf(points, limit);
  return json(resultsToJson(items, next));
};
