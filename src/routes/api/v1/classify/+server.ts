import { json } from '@sveltejs/kit';
import { RangeProblem } from '$lib/core';
import { classifyQuery, classifyToJson } from '$lib/formats/api-json';
import type { RequestHandler } from './$types';
import { refusals } from '$lib/words/refusals';

/** A soil by `sand`, `silt`, `clay` (two are enough), `system` and `limit`. */
export const GET: RequestHandler = ({ url }) => {
  const asked = classifyQuery.safeParse(Object.fromEntries(url.searchParams));
  if (!asked.success) {
    const fields = Object.fromEntries(asked.error.issues.map((i) => [i.path.join('.'), i.message]));
    return json({ message: refusals.api.someValuesNeedAnother, fields }, { status: 422 });
  }
  try {
    return json(classifyToJson(asked.data));
  } catch (problem) {
    if (!(problem instanceof RangeProblem)) throw problem;
    return json({ message: problem.message, fields: { [problem.field]: problem.message } }, { status: 422 });
  }
};
