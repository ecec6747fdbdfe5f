import { wrap } from 'comlink';
import type { CertaintyEndpoint } from '$lib/workers/certainty.worker';
import type { CylinderEndpoint } from '$lib/workers/cylinder.worker';
import type { EstimateEndpoint } from '$lib/workers/estimate.worker';
import type { FilmEndpoint } from '$lib/workers/film.worker';
import type { PhotoEndpoint } from '$lib/workers/photo.worker';
import type { SettleEndpoint } from '$lib/workers/settle.worker';
import type { SimulateEndpoint } from '$lib/workers/simulate.worker';
import type { TimetableEndpoint } from '$lib/workers/timetable.worker';

/** Makes a thing when it is first asked for, and hands out the same from then on. */
function once<T>(make: () => T): () => T {
  let made: { value: T } | undefined;
  return () => (made ??= { value: make() }).value;
}

// The address and the kind of a worker are written out at each, for the build finds it by them.

/** Reads jars. */
export const certaintyWorker = once(() =>
  wrap<CertaintyEndpoint>(
    new Worker(new URL('../workers/certainty.worker.ts', import.meta.url), { type: 'module' })
  )
);

const estimateWorker = () =>
  wrap<EstimateEndpoint>(
    new Worker(new URL('../workers/estimate.worker.ts', import.meta.url), { type: 'module' })
  );

/** Estimates jars while a hand moves: what takes longer is left to the other. */
export const firstEstimateWorker = once(estimateWorker);

/** Estimates jars in full. */
export const fullEstimateWorker = once(estimateWorker);

/** Works cylinder tests out. */
export const cylinderWorker = once(() =>
  wrap<CylinderEndpoint>(
    new Worker(new URL('../workers/cylinder.worker.ts', import.meta.url), { type: 'module' })
  )
);

/** Reads films. */
export const filmWorker = once(() =>
  wrap<FilmEndpoint>(new Worker(new URL('../workers/film.worker.ts', import.meta.url), { type: 'module' }))
);

/** Says what would settle a verdict. */
export const settleWorker = once(() =>
  wrap<SettleEndpoint>(
    new Worker(new URL('../workers/settle.worker.ts', import.meta.url), { type: 'module' })
  )
);

/** Settles jars to practise on. */
export const simulateWorker = once(() =>
  wrap<SimulateEndpoint>(
    new Worker(new URL('../workers/simulate.worker.ts', import.meta.url), { type: 'module' })
  )
);

/** Lays timetables. */
export const timetableWorker = once(() =>
  wrap<TimetableEndpoint>(
    new Worker(new URL('../workers/timetable.worker.ts', import.meta.url), { type: 'module' })
  )
);

/** A worker for one picture; whoever asks for it ends it. */
export function pictureWorker() {
  const worker = new Worker(new URL('../workers/photo.worker.ts', import.meta.url), { type: 'module' });
  return { remote: wrap<PhotoEndpoint>(worker), end: () => worker.terminate() };
}
