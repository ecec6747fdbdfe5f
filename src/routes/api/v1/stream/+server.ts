import { serverNow } from '$lib/server/clock';
import { config } from '$lib/server/config';
import { PASS_COOKIE } from '$lib/server/door';
import { newsStream } from '$lib/server/live';
import { whoIsIn } from '$lib/server/entering';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ request, cookies }) => {
  const bench = await store();
  const cookie = cookies.get(PASS_COOKIE) ?? '';
  return newsStream(
    request.signal,
    async () => (await whoIsIn(bench, config().door, cookie, serverNow())).isIn
  );
};
