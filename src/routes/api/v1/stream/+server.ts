import { newsStream } from '$lib/server/live';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ request }) => newsStream(request.signal);
