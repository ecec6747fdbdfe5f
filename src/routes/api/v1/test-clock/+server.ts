import { error, json } from '@sveltejs/kit';
import { z } from 'zod';
import { serverNow, shiftClock } from '$lib/server/clock';
import { config } from '$lib/server/config';
import type { RequestHandler } from './$types';

const body = z.object({ shiftMs: z.number().int() });

/** Moves the server's clock for end-to-end tests. Not there unless the server was started for them. */
export const POST: RequestHandler = async ({ request }) => {
  if (config().testClockMs === undefined) error(404, 'Not found');
  shiftClock(body.parse(await request.json()).shiftMs);
  return json({ now: serverNow() });
};
