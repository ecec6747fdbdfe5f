import { json } from '@sveltejs/kit';
import { serverNow } from '$lib/server/clock';

export const GET = () => json({ now: serverNow() }, { headers: { 'cache-control': 'no-store' } });
