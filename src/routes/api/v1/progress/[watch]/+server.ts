import { json } from '@sveltejs/kit';
import { shareDone } from '$lib/server/progress';
import type { RequestHandler } from './$types';

/** How far something is that somebody waits for, as sheets of labels or an archive: 0 to 1, null for what is not under way. */
export const GET: RequestHandler = ({ params }) => json({ share: shareDone(params.watch) ?? null });
