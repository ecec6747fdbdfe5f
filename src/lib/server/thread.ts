import { existsSync } from 'node:fs';
import { Worker } from 'node:worker_threads';
import { known } from '../core/index.ts';

/** What a thread answers: how far it is, then what came of it; a problem is a fault of its own. */
export type Reply<A> = { share: number } | { answer: A } | { problem: string };
type Ended<A> = Exclude<Reply<A>, { share: number }>;

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
   * @param o.signal told when nobody waits any more: the work is stopped, or not begun
   * @param o.told how far it is, 0 to 1
   * @throws {Error} where the thread fails, or is stopped
   */
  ask(question: Q, o: { signal?: AbortSignal; told?: (share: number) => void } = {}): Promise<A> {
    const turn = this.#last.then(() => this.#work(question, o));
    this.#last = turn.catch(() => undefined);
    return turn;
  }

  async #work(
    question: Q,
    { signal, told }: { signal?: AbortSignal; told?: (share: number) => void }
  ): Promise<A> {
    signal?.throwIfAborted();
    const worker = (this.#worker ??= this.#begin());
    worker.ref();
    let clear = () => {};
    try {
      const reply = await new Promise<Ended<A>>((resolve) => {
        // A thread that fails or is stopped leaves nobody waiting; the next question begins another.
        const ended = (problem: Error) => {
          this.#worker = undefined;
          resolve({ problem: problem.message });
        };
        const stop = () => {
          ended(new Error('it was stopped'));
          void worker.terminate();
        };
        const hear = (said: Reply<A>) => ('share' in said ? told?.(said.share) : resolve(said));
        worker.on('message', hear).on('error', ended);
        signal?.addEventListener('abort', stop);
        clear = () => {
          worker.off('message', hear).off('error', ended);
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
