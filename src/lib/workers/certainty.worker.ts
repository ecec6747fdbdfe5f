import { expose } from 'comlink';
import { workOutReading } from '../core/jar/reading.ts';

const endpoint = { workOutReading };
export type CertaintyEndpoint = typeof endpoint;
expose(endpoint);
