import { wrap, type Remote } from 'comlink';
import type { DensityGrid, JarReading, JarResult } from '$lib/core';
import type { CertaintyEndpoint } from '$lib/workers/certainty.worker';

let remote: Remote<CertaintyEndpoint> | undefined;

function worker(): Remote<CertaintyEndpoint> {
  remote ??= wrap<CertaintyEndpoint>(
    new Worker(new URL('../../workers/certainty.worker.ts', import.meta.url), { type: 'module' })
  );
  return remote;
}

/** A worked-out reading, and the region for the triangle. */
export type Worked = { result: JarResult; region: DensityGrid };

/**
 * Works readings out in the worker, one at a time, always ending with the newest: what is dragged past in between
 * is skipped.
 */
export class ReadingWork {
  worked = $state<Worked>();
  /** The newest reading asked for; an answer to any other is dropped. */
  #newest: JarReading | undefined;
  #busy = false;

  /** Asks for a reading; undefined clears the answer. */
  async ask(reading: JarReading | undefined): Promise<void> {
    this.#newest = reading;
    if (!reading) this.worked = undefined;
    if (this.#busy) return;
    this.#busy = true;
    let done: JarReading | undefined;
    while (this.#newest && this.#newest !== done) {
      done = this.#newest;
      const worked = await worker()
        .workOutReading(done, 'usda')
        .catch(() => undefined);
      if (this.#newest === done) this.worked = worked;
    }
    this.#busy = false;
  }
}
