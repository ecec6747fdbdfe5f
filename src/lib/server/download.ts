import { error } from '@sveltejs/kit';
import { eq } from 'drizzle-orm';
import type { z } from 'zod';
import { pageQuery } from '../formats/api-json.ts';
import { refusals } from '../words/refusals.ts';
import type { Store } from './db.ts';
import { test } from './schema.ts';

/** A text file for the browser to save. */
export function download(text: string, type: string, name: string): Response {
  return new Response(text, { headers: saved(type, name) });
}

const saved = (type: string, name: string) => ({
  'content-type': `${type}; charset=utf-8`,
  'content-disposition': `attachment; filename="${name.replace(/[^\w.-]/g, '_')}"`
});

/**
 * An answer that is sent as it is made: each part is asked for when the one before it is on its way, and no more once the
 * browser has gone.
 *
 * @param name to be saved as, where it is a file
 */
export function streamed(parts: AsyncGenerator<string>, type: string, name?: string): Response {
  const encoder = new TextEncoder();
  const body = new ReadableStream<Uint8Array>({
    async pull(controller) {
      const { done, value } = await parts.next();
      if (done) controller.close();
      else controller.enqueue(encoder.encode(value));
    },
    async cancel() {
      await parts.return(undefined);
    }
  });
  return new Response(body, { headers: name ? saved(type, name) : { 'content-type': type } });
}

/** What a request asks of the list of tests. @throws a refusal, in a sentence */
export async function pageAsked({ db }: Pick<Store, 'db'>, url: URL): Promise<z.infer<typeof pageQuery>> {
  const { limit, after } = Object.fromEntries(url.searchParams);
  const asked = pageQuery.safeParse({ limit, after });
  if (!asked.success) error(400, asked.error.issues[0].message);
  if (after !== undefined) {
    const there = await db.select({ id: test.id }).from(test).where(eq(test.id, after));
    if (there.length === 0) error(400, refusals.api.after);
  }
  return asked.data;
}

/** A page of a list that comes so many at a time, and where the next begins. */
export async function pageOf<T extends { id: string }>(
  lists: AsyncIterable<readonly T[]>,
  limit: number
): Promise<{ items: T[]; next: string | null }> {
  const items: T[] = [];
  for await (const list of lists) items.push(...list);
  return { items, next: items.length < limit ? null : (items.at(-1)?.id ?? null) };
}
