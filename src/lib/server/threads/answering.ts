import { parentPort } from 'node:worker_threads';
import { known } from '../../core/index.ts';
import type { Reply } from '../thread.ts';

/** Answers each question of a thread, or says why it cannot. */
export function answering<Q, A>(work: (question: Q) => A | Promise<A>): void {
  const port = known(parentPort, 'this runs as a thread');
  port.on('message', (question: Q) => {
    const done = async (): Promise<Reply<A>> => ({ answer: await work(question) });
    done()
      .catch((problem: unknown) => ({
        problem: problem instanceof Error ? problem.message : String(problem)
      }))
      .then((reply) => port.postMessage(reply));
  });
}
