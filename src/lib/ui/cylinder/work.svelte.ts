import { wrap, type Remote } from 'comlink';
import {
  RangeProblem,
  type CurveBand,
  type CylinderInput,
  type CylinderResult,
  type DensityGrid
} from '$lib/core';
import { Latest } from '../state/latest.svelte';
import type { CylinderEndpoint } from '$lib/workers/cylinder.worker';

let remote: Remote<CylinderEndpoint> | undefined;

function worker(): Remote<CylinderEndpoint> {
  remote ??= wrap<CylinderEndpoint>(
    new Worker(new URL('../../workers/cylinder.worker.ts', import.meta.url), { type: 'module' })
  );
  return remote;
}

/** A cylinder test worked out, with its region and the band about its curve. */
export type JudgedCylinder = { result: CylinderResult; region: DensityGrid; band: CurveBand };

/** Works cylinder tests out in the worker. */
export class CylinderWork extends Latest<CylinderInput, JudgedCylinder> {
  constructor() {
    super((input) => worker().judgeCylinder(input, 'usda'));
  }
}

/** Does something in the core: what came of it, or what is wrong and beside which field. */
export function attempt<T>(work: () => T): { done?: T; problem?: RangeProblem } {
  try {
    return { done: work() };
  } catch (problem) {
    if (problem instanceof RangeProblem) return { problem };
    throw problem;
  }
}
