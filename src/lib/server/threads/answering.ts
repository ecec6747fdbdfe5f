import { parentPort } from 'node:worker_threads';
import { known } from '../../core/index.ts';
import type { Reply } from '../thread.ts';

/** Tells how far a piece of work is, 0 to 1. */
export type Told = (share: number) => void;

/** Less of a step than this is not told. */
const STEP = 0.01;

/** Answers each question of a thread, or says why it cannot. @param work is handed what tells how far it is */
export function answering<Q, A>(work: (question: Q, told: Told) => A | Promise<A>): void {
  const port = known(parentPort, 'this runs as a thread');
  port.on('message', (question: Q) => {
    let last = 0;
    const told = (share: number) => {
      if (share - last < STEP) return;
      last = share;
      port.postMessage({ share } satisfies Reply<A>);
    };
    const done = async (): Promise<Reply<A>> => ({ answer: await work(question, told) });
    done()
      .catch((problem: unknown) => ({
        problem: problem instanceof Error ? problem.message : String(problem)
      }))
      .then((reply) => port.postMessage(reply));
  });
}
