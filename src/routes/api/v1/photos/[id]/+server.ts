import { error } from '@sveltejs/kit';
import { photoBytes } from '$lib/server/photos';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';
import { refusals } from '$lib/words/refusals';

/** A kept picture. A file never changes under its id; but whoever is let in no more sees it no more, so the browser asks each time. */
export const GET: RequestHandler = async ({ params, request }) => {
  const headers = { 'cache-control': 'private, no-cache', etag: `"${params.id}"` };
  if (request.headers.get('if-none-match') === headers.etag)
    return new Response(null, { status: 304, headers });
  const bytes = await photoBytes(await store(), params.id);
  if (!bytes) error(404, refusals.api.pictureGone);
  return new Response(new Uint8Array(bytes), {
    headers: { ...headers, 'content-type': 'image/jpeg' }
  });
};
