import { json } from '@sveltejs/kit';
import { samplesToJson } from '$lib/formats/api-json';
import { allSamples } from '$lib/server/repositories/samples';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async () => json(samplesToJson(await allSamples((await store()).db)));
