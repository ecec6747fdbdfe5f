import { existsSync } from 'node:fs';
import { Worker } from 'node:worker_threads';
import { known } from '../core/index.ts';

/** What a thread answers; a problem is a fault of its own. */
export type Reply<A> = { answer: A } | { problem: string };

/** How deep below the server's own folder the build may lay a file. */
const DEEPEST = 8;
/** A thread as it is written; as the build lays it, in a folder over that of the file it is asked from. */
const placesOf = (name: string) => [
  `./threads/${name}.thread.ts`,
  ...Array.from({ length: DEEPEST }, (_, up) => `${'../'.repeat(up + 1)}threads/${name}.thread.js`)
];

/** As it is written it needs what reads TypeScript to be there first. */
const threadAt = (url: URL) =>
  url.pathname.endsWith('.ts')
    ? new Worker(
        `import('tsx/esm/api').then(({ register }) => (register(), import(${JSON.stringify(url.href)})))`,
        { eval: true }
      )
    : new Worker(url);

/**
 * Long work in a thread of its own: the event loop goes on. One piece is done at a time, in the order they come. The thread is begun
 * when it is first needed and does not keep the server from ending.
 */
export class Thread<Q, A> {
  #worker: Worker | undefined;
  #last: Promise<unknown> = Promise.resolve();

  /** @param name of its file in `threads` */
  constructor(private name: string) {}

  /**
   * @param signal told when nobody waits any more: the work is stopped, or not begun
   * @throws {Error} where the thread fails, or is stopped
   */
  ask(question: Q, signal?: AbortSignal): Promise<A> {
    const turn = this.#last.then(() => this.#work(question, signal));
    this.#last = turn.catch(() => undefined);
    return turn;
  }

  async #work(question: Q, signal: AbortSignal | undefined): Promise<A> {
    signal?.throwIfAborted();
    const worker = (this.#worker ??= this.#begin());
    worker.ref();
    let clear = () => {};
    try {
      const reply = await new Promise<Reply<A>>((resolve) => {
        // A thread that fails or is stopped leaves nobody waiting; the next question begins another.
        const ended = (problem: Error) => {
          this.#worker = undefined;
          resolve({ problem: problem.message });
        };
        const stop = () => {
          ended(new Error('it was stopped'));
          void worker.terminate();
        };
        worker.on('message', resolve).on('error', ended);
        signal?.addEventListener('abort', stop);
        clear = () => {
          worker.off('message', resolve).off('error', ended);
          signal?.removeEventListener('abort', stop);
        };
        worker.postMessage(question);
      });
      if ('problem' in reply) throw new Error(`The ${this.name} thread failed: ${reply.problem}`);
      return reply.answer;
    } finally {
      clear();
      worker.unref();
    }
  }

  #begin(): Worker {
    const found = placesOf(this.name)
      .map((place) => new URL(place, import.meta.url))
      .find((url) => existsSync(url));
    const begun = threadAt(known(found, 'the build lays the threads beside the server'));
    // Also one that fails while nobody asks is not asked again, and takes nothing down.
    return begun.on('error', () => {
      if (this.#worker === begun) this.#worker = undefined;
    });
  }
}
