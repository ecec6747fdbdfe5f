import { json } from '@sveltejs/kit';
import { foldersToJson } from '$lib/formats/trials';
import { allFolders } from '$lib/server/repositories/folders';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async () => json(foldersToJson(await allFolders((await store()).db)));
