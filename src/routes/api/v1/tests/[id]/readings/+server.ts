import { error, json } from '@sveltejs/kit';
import { readingsToJson } from '$lib/formats/api-json';
import { shownTest } from '$lib/server/shown';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params }) => {
  const test = await shownTest((await store()).db, params.id);
  if (!test) error(404, t.test.notFound);
  return json(readingsToJson(test));
};
