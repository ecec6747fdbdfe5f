import { json } from '@sveltejs/kit';
import { isAlive } from '$lib/server/migrate';
import { store } from '$lib/server/store';

export const GET = async () => json({ ok: await isAlive(await store()) });
