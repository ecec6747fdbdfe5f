import { wrap, type Remote } from 'comlink';
import type { DensityGrid, JarReading, JarResult, MassEstimate, MassInput } from '$lib/core';
import { Latest } from '../state/latest.svelte';
import type { CertaintyEndpoint } from '$lib/workers/certainty.worker';

let remote: Remote<CertaintyEndpoint> | undefined;

function worker(): Remote<CertaintyEndpoint> {
  remote ??= wrap<CertaintyEndpoint>(
    new Worker(new URL('../../workers/certainty.worker.ts', import.meta.url), { type: 'module' })
  );
  return remote;
}

/** A worked-out reading, and the region for the triangle. */
export type Worked = { result: JarResult; region?: DensityGrid };

/** Works readings out in the worker. */
export class ReadingWork extends Latest<JarReading, Worked> {
  constructor() {
    super((reading) => worker().judgeReading(reading, 'usda'));
  }
}

/** An estimate by mass, and the region for the triangle. */
export type Weighed = { estimate: MassEstimate; region: DensityGrid };

/** Weighs layers in the worker; what cannot be weighed has no answer. */
export class MassWork extends Latest<MassInput, Weighed> {
  constructor() {
    super((input) => worker().estimateMass(input, 'usda'));
  }
}
