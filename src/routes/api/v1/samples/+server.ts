import { samplesJsonParts } from '$lib/formats/api-json';
import { streamed } from '$lib/server/download';
import { eachSample } from '$lib/server/repositories/samples';
import { store } from '$lib/server/store';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async () =>
  streamed(samplesJsonParts(eachSample((await store()).db)), 'application/json');
