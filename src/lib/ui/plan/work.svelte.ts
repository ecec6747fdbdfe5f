import { wrap, type Remote } from 'comlink';
import type { planBench, Timetable } from '$lib/core';
import type { TimetableEndpoint } from '$lib/workers/timetable.worker';
import { Latest } from '../state/latest.svelte';

let remote: Remote<TimetableEndpoint> | undefined;

function worker(): Remote<TimetableEndpoint> {
  remote ??= wrap<TimetableEndpoint>(
    new Worker(new URL('../../workers/timetable.worker.ts', import.meta.url), { type: 'module' })
  );
  return remote;
}

/** Makes timetables in the worker. */
export class PlanWork extends Latest<Parameters<typeof planBench>[0], Timetable> {
  constructor() {
    super((question) => worker().planBench(question));
  }
}
