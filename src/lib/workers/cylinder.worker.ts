import { expose } from 'comlink';
import { judgeCylinder } from '../core/cylinder/certainty.ts';

const endpoint = { judgeCylinder };
export type CylinderEndpoint = typeof endpoint;
expose(endpoint);
