import { z } from 'zod';
import { learnerName, soloTry } from '$lib/contract/practice';
import { answering, bodyOf } from '$lib/server/answer';
import { serverNow } from '$lib/server/clock';
import { forgetSolo, keepSolo, soloHistory } from '$lib/server/lessons/alone';
import { fieldsProblem } from '$lib/server/problem';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';

function nameOf(url: URL): string {
  const name = z.object({ name: learnerName }).safeParse({ name: url.searchParams.get('name') ?? '' });
  if (!name.success) throw fieldsProblem(name.error.issues);
  return name.data.name;
}

/** What somebody has tried alone, oldest first. */
export const GET: RequestHandler = ({ url }) =>
  answering(async () => ({ tries: await soloHistory((await store()).db, nameOf(url)) }));

/** Keeps a try. */
export const POST: RequestHandler = ({ request }) =>
  answering(async () => keepSolo(await store(), await bodyOf(request, soloTry), serverNow()), 201);

/** Forgets somebody who practised alone. */
export const DELETE: RequestHandler = ({ url }) =>
  answering(async () => {
    await forgetSolo(await store(), nameOf(url));
    return {};
  });
