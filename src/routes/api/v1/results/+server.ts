import { json } from '@sveltejs/kit';
import { resultsToJson } from '$lib/formats/api-json';
import { knowPoints } from '$lib/server/repositories/points';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async () => json(resultsToJson(await knowPoints((await store()).db)));
