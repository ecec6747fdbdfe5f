import { expose } from 'comlink';
import { estimateMass } from '../core/certainty/mass.ts';
import { judgeReading } from '$lib/core/certainty/reading';

const endpoint = { judgeReading, estimateMass };
export type CertaintyEndpoint = typeof endpoint;
expose(endpoint);
