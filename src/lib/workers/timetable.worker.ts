import { expose } from 'comlink';
import { planBench } from '../core/timetable/plan.ts';

const endpoint = { planBench };
export type TimetableEndpoint = typeof endpoint;
expose(endpoint);
