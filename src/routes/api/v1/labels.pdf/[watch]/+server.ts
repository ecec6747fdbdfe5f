import { error, json } from '@sveltejs/kit';
import { shareMade } from '$lib/server/pdf';
import { refusals } from '$lib/words/refusals';
import type { RequestHandler } from './$types';

/** How far sheets of labels are that somebody waits for, 0 to 1. */
export const GET: RequestHandler = ({ params }) => {
  const share = shareMade(params.watch);
  if (share === undefined) error(404, refusals.api.noSuchSheet);
  return json({ share });
};
