import { expose } from 'comlink';
import { judgeReading } from '$lib/core/certainty/reading';

const endpoint = { judgeReading };
export type CertaintyEndpoint = typeof endpoint;
expose(endpoint);
