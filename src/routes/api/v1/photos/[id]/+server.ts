import { error } from '@sveltejs/kit';
import { photoBytes } from '$lib/server/photos';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';
import { refusals } from '$lib/words/refusals';

/** A kept picture. A file never changes under its id, so the browser need not ask twice. */
export const GET: RequestHandler = async ({ params }) => {
  const bytes = await photoBytes(await store(), params.id);
  if (!bytes) error(404, refusals.api.pictureGone);
  return new Response(new Uint8Array(bytes), {
    headers: { 'content-type': 'image/jpeg', 'cache-control': 'private, max-age=31536000, immutable' }
  });
};
