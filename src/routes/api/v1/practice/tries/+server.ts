import { z } from 'zod';
import { learnerName, soloTry } from '$lib/contract/practice';
import { answering, bodyOf } from '$lib/server/answer';
import { serverNow } from '$lib/server/clock';
import { forgetSolo, keepSolo, practiceName, soloHistory } from '$lib/server/lessons/alone';
import { fieldsProblem } from '$lib/server/problem';
import { store } from '$lib/server/store';
import type { RequestEvent, RequestHandler } from './$types';

function nameOf({ url, locals }: Pick<RequestEvent, 'url' | 'locals'>): string {
  const name = z.object({ name: learnerName }).safeParse({ name: url.searchParams.get('name') ?? '' });
  if (!name.success) throw fieldsProblem(name.error.issues);
  return practiceName(locals.person, name.data.name);
}

/** What somebody has tried alone, oldest first. */
export const GET: RequestHandler = (event) =>
  answering(async () => ({ tries: await soloHistory((await store()).db, nameOf(event)) }));

/** Keeps a try. */
export const POST: RequestHandler = ({ request, locals }) =>
  answering(async () => {
    const one = await bodyOf(request, soloTry);
    practiceName(locals.person, one.name);
    return keepSolo(await store(), one, serverNow());
  }, 201);

/** Forgets somebody who practised alone. */
export const DELETE: RequestHandler = (event) =>
  answering(async () => {
    await forgetSolo(await store(), nameOf(event));
    return {};
  });
