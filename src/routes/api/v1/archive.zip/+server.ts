import { serverNow } from '$lib/server/clock';
import { config } from '$lib/server/config';
import { CommandProblem } from '$lib/server/problem';
import { watched } from '$lib/server/progress';
import { archiveOf } from '$lib/server/restoring';
import { store } from '$lib/server/store';
import { error } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** The whole bench as one file: rows as JSON, pictures, the log as CSV. */
export const GET: RequestHandler = async ({ url }) => {
  const { databaseUrl, databaseToken, root } = config();
  const now = serverNow();
  await store();
  const from = { url: databaseUrl, token: databaseToken };
  const watch = url.searchParams.get('watch') ?? undefined;
  const { body, bytes } = await watched(watch, (told) => archiveOf(from, { root, now, told })).catch(
    (problem: unknown) => {
      if (problem instanceof CommandProblem) error(problem.status, problem.message);
      throw problem;
    }
  );
  return new Response(body, {
    headers: {
      'content-type': 'application/zip',
      'content-length': String(bytes),
      'content-disposition': `attachment; filename="tivrel-${new Date(now).toISOString().slice(0, 10)}.zip"`
    }
  });
};
