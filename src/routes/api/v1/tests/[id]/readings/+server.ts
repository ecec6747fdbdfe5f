import { error, json } from '@sveltejs/kit';
import { readingsToJson } from '$lib/formats/api-json';
import { testDetail } from '$lib/server/repositories/tests';
import { store } from '$lib/server/store';
import { t } from '$lib/words';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params }) => {
  const test = await testDetail((await store()).db, params.id);
  if (!test) error(404, t.test.notFound);
  return json(readingsToJson(test));
};
