import { expose } from 'comlink';
import { estimateMass } from '../core/certainty/mass.ts';
import { judgeReading } from '../core/jar/reading.ts';

const endpoint = { judgeReading, estimateMass };
export type CertaintyEndpoint = typeof endpoint;
expose(endpoint);
